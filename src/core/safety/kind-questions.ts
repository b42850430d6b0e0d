/** What is asked of a machine whose name says nothing: each with the hazards that an answer may name. */
export const KIND_QUESTIONS = [
  { id: "springs-or-weight", hazards: ["springs", "lifted-load"] },
  { id: "blades-or-rollers", hazards: ["blades"] },
  { id: "heat-or-pressure", hazards: ["heat", "pressure"] },
] as const;

export type KindQuestion = (typeof KIND_QUESTIONS)[number];
export type KindQuestionId = KindQuestion["id"];
export const KIND_QUESTION_IDS: readonly KindQuestionId[] = KIND_QUESTIONS.map(({ id }) => id);

/** Whether a question is answered: something of it was named, or that there is nothing of it. */
const isAnswered = (
  { id, hazards }: KindQuestion,
  said: readonly string[],
  without: readonly string[],
): boolean => without.includes(id) || hazards.some((hazard) => said.includes(hazard));

/**
 * The questions that stand open for a machine whose name is not known.
 * @param said hazards that were named at the door
 * @param without questions to which the answer was that there is nothing of the kind
 */
export function openQuestions(said: readonly string[], without: readonly string[]): readonly KindQuestion[] {
  return KIND_QUESTIONS.filter((question) => !isAnswered(question, said, without));
}
