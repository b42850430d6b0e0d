import type { Knowledge } from "../../knowledge/types";
import type { Evidence } from "../../tools/finding.input";
import type { Entry, MoveAnswer, ToolReading } from "./entry";
import { latestBy, ofKind } from "./lines";

/** An answer as isolation takes it. Epochs count the interventions before it. */
export interface JobAnswer {
  readonly seq: number;
  readonly epoch: number;
  readonly circumstance: MoveAnswer["circumstance"];
  readonly moveId: string;
  readonly outcomeId: string;
  readonly ratio?: { readonly value: number; readonly halfWidth: number } | undefined;
  /** Why it could not be done. */
  readonly why?: MoveAnswer["why"];
  /** Told by a dead check, not asked by isolation. */
  readonly isCheck?: true;
}

/** What a reading tells isolation: its evidence for the move it was taken for. */
export function evidenceOf({ moveId, finding }: ToolReading): readonly Evidence[] {
  return finding.evidence.filter((one) => one.moveId === moveId);
}

/** Clues that a reading gave beside what it was taken for: the last word on each, and none that was asked by itself. */
export function cluesOf(
  unstruck: readonly Entry[],
  answers: readonly JobAnswer[],
  epochAt: (seq: number) => number,
): JobAnswer[] {
  const keyOf = ({ moveId, epoch }: JobAnswer): string => `${epoch} ${moveId}`;
  const asked = new Set(answers.map(keyOf));
  const told = unstruck.flatMap((entry): JobAnswer[] => {
    if (entry.kind !== "reading" || entry.payload.of !== "tool") return [];
    return entry.payload.finding.evidence
      .filter(({ always }) => always === true)
      .map(({ moveId, outcomeId, circumstance }) => ({
        seq: entry.seq,
        epoch: epochAt(entry.seq),
        moveId,
        outcomeId,
        circumstance,
      }));
  });
  return latestBy(told, keyOf).filter((one) => !asked.has(keyOf(one)));
}

/** The number read as a ratio to what it is held against, with the meter's error. */
export function ratioOf({ likelihood }: Evidence): JobAnswer["ratio"] {
  if (likelihood?.mark === undefined) return undefined;
  const { value, halfWidth, mark } = likelihood;
  return { value: value / mark, halfWidth: halfWidth / mark };
}

/** What dead checks tell isolation: the last of each in its epoch, unless the same was asked there by its own move. */
export function toldByChecks(
  unstruck: readonly Entry[],
  answers: readonly JobAnswer[],
  epochAt: (seq: number) => number,
  deadChecks: Knowledge["deadChecks"],
): readonly JobAnswer[] {
  const told = ofKind(unstruck, "reading").flatMap(({ seq, payload }): JobAnswer[] => {
    if (payload.of !== "dead-check" || payload.verdict === "undecided") return [];
    const ref = deadChecks.find(({ id }) => id === payload.checkId)?.tells?.[payload.verdict];
    return ref ? [{ ...ref, seq, epoch: epochAt(seq), circumstance: "cold", isCheck: true }] : [];
  });
  const keyOf = ({ moveId, epoch }: JobAnswer): string => `${epoch} ${moveId}`;
  const asked = new Set(answers.map(keyOf));
  return latestBy(told, keyOf).filter((one) => !asked.has(keyOf(one)));
}
