/** Answers that say nothing about the machine. */
export const SILENT_ANSWERS: ReadonlySet<string> = new Set(["not-sure", "could-not"]);
