import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";
import { tellsDanger } from "../../tells-danger";

const NO_ANSWER: readonly string[] = ["not-sure", "could-not"];
/** Nothing was done: nothing had to be made safe for it. */
const NOT_DONE = "could-not";

/** A move and an answer of it that exist, or that it said nothing. */
export const complete: Completion<"answer"> = (draft, { shop }) => {
  const payload = { ...draft, why: draft.why ?? "" };
  const { moveId, outcomeId, why } = payload;
  const move = shop.knowledge.moves.find(({ id }) => id === moveId);
  if (!move) return fail(issue("payload.moveId", "unknown/move", `There is no move "${moveId}".`, moveId));
  const known = [...move.outcomes, ...NO_ANSWER];
  if (!known.includes(outcomeId))
    return fail(
      issue(
        "payload.outcomeId",
        "unknown/answer",
        `"${move.title}" has no answer "${outcomeId}": it has ${known.join(", ")}.`,
        outcomeId,
      ),
    );
  if (outcomeId !== NOT_DONE && why !== "")
    return fail(
      issue(
        "payload.why",
        "answer/why-of-an-answer",
        `"${why}" says why a move could not be done; this one was answered "${outcomeId}".`,
        why,
      ),
    );
  if (outcomeId === NOT_DONE || tellsDanger(move, outcomeId)) return ok({ payload });
  return ok({ payload, need: move.needs, power: move.power });
};
