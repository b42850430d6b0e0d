import { own } from "@/core/own";
import type { KindWords } from "../../kind-words";

const NO_ANSWER: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "not-sure": "not sure",
    "could-not": "could not be done",
  }),
);

const WHY: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "none-here": "it has none",
    "no-instrument": "no instrument for it here",
    "cannot-reach": "cannot be reached",
    "no-power": "no power for it here",
  }),
);

export const words: KindWords<"answer"> = (payload, { shop }) => {
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const answer =
    (move && own(move.answers, payload.outcomeId)) ?? NO_ANSWER.get(payload.outcomeId) ?? payload.outcomeId;
  const why = WHY.get(payload.why);
  return `${move?.title ?? payload.moveId}: ${answer}${why ? `, ${why}` : ""}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
};
