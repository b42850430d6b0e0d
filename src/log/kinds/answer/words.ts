import { own } from "@/core/own";
import type { KindWords } from "../../kind-words";

const NO_ANSWER: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    "not-sure": "not sure",
    "could-not": "could not be done",
  }),
);

export const words: KindWords<"answer"> = (payload, { shop }) => {
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const answer =
    (move && own(move.answers, payload.outcomeId)) ?? NO_ANSWER.get(payload.outcomeId) ?? payload.outcomeId;
  return `${move?.title ?? payload.moveId}: ${answer}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
};
