/** The stages of a job, in the order repairers work. The one place that knows them. */
export const STAGES = [
  "take-in",
  "make-safe",
  "isolate",
  "measure",
  "match",
  "decide",
  "put-back",
  "sign-off",
] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_LABELS: Readonly<Record<Stage, string>> = {
  "take-in": "Take in",
  "make-safe": "Make safe",
  isolate: "Isolate",
  measure: "Measure",
  match: "Match",
  decide: "Decide",
  "put-back": "Put back",
  "sign-off": "Sign off",
};
