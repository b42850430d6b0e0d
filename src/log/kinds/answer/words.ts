import type { KindWords } from "../../kind-words";

const NO_ANSWER: Readonly<Record<string, string>> = {
  "not-sure": "not sure",
  "could-not": "could not be done",
};

export const words: KindWords<"answer"> = (payload, { shop }) => {
  const move = shop.moves.find(({ id }) => id === payload.moveId);
  const answer = move?.answers[payload.outcomeId] ?? NO_ANSWER[payload.outcomeId] ?? payload.outcomeId;
  return `${move?.title ?? payload.moveId}: ${answer}${payload.taken === "afterwards" ? ", entered afterwards" : ""}`;
};
