import type { Circumstance } from "../knowledge/circumstances";
import { SILENT_ANSWERS } from "../knowledge/silent-answers";
import type { Move } from "../knowledge/types";
import { fail, type Issue, issue, ok, type Result } from "../result";

/** An answer to a move. `not-sure` and `could-not` say nothing about the machine. */
export interface Answer {
  readonly seq: number;
  readonly epoch: number;
  readonly circumstance: Circumstance;
  readonly moveId: string;
  readonly outcomeId: string;
  /** A number read, as a ratio to the mark with its half width, where the move has a distribution for it. */
  readonly ratio?: { readonly value: number; readonly halfWidth: number } | undefined;
}

/** Something done to the machine that can cure faults, before the answers of `epoch` were taken. */
export interface Intervention {
  readonly epoch: number;
  readonly faultIds: readonly string[];
  readonly success: number;
  /** What such work may leave behind that was not there before. */
  readonly brings?: readonly { readonly faultId: string; readonly chance: number }[] | undefined;
}

/**
 * Answers that the knowledge can use, or every reason why one cannot be.
 * @param whyNoMove says why a move does not apply to this machine
 */
export function checkEvidence(
  answers: readonly Answer[],
  interventions: readonly Intervention[],
  moves: readonly Move[],
  faultIds: ReadonlySet<string>,
  whyNoMove: (moveId: string) => string,
): Result<readonly Answer[]> {
  const issues: Issue[] = [];
  for (const [index, { moveId, outcomeId }] of answers.entries()) {
    const move = moves.find(({ id }) => id === moveId);
    if (!move)
      issues.push(issue(`evidence.${index}.moveId`, "isolation/no-such-move", whyNoMove(moveId), moveId));
    else if (!SILENT_ANSWERS.has(outcomeId) && !move.outcomes.includes(outcomeId))
      issues.push(
        issue(
          `evidence.${index}.outcomeId`,
          "isolation/no-such-answer",
          `"${move.title}" has no answer "${outcomeId}": it has ${move.outcomes.join(", ")}, not-sure or could-not.`,
          outcomeId,
        ),
      );
  }
  for (const [index, { faultIds: ids }] of interventions.entries())
    for (const id of ids)
      if (!faultIds.has(id))
        issues.push(
          issue(
            `interventions.${index}.faultIds`,
            "isolation/no-such-fault",
            `This kind of machine has no fault "${id}".`,
            id,
          ),
        );
  return issues.length > 0
    ? fail(...issues)
    : ok(answers.filter(({ outcomeId }) => !SILENT_ANSWERS.has(outcomeId)));
}
