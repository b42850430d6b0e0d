import type { KindQuestionId } from "@/core/safety/kind-questions";

/** What is asked of a machine whose name is not known here. */
export const KIND_QUESTION_WORDS: Readonly<Record<KindQuestionId, string>> = {
  "springs-or-weight": "A spring under load, or a lifted weight?",
  "blades-or-rollers": "Blades or rollers?",
  "heat-or-pressure": "Heat, or pressure?",
};

/** What an answer names, in a word or two; a hazard's own label where it has none. */
export const KIND_ANSWER_WORDS: ReadonlyMap<string, string> = new Map([
  ["springs", "A spring"],
  ["lifted-load", "A lifted weight"],
  ["blades", "Blades or rollers"],
  ["heat", "Heat"],
  ["pressure", "Pressure"],
]);
