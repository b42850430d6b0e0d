import type { RecallNotice } from "../../knowledge/types";

/** Notices all of whose words stand in what is known of the machine: its name, type and plate. */
export function recallsFor(said: string, notices: readonly RecallNotice[]): RecallNotice[] {
  const text = said.toLowerCase();
  return notices.filter(({ words }) => words.every((word) => text.includes(word.toLowerCase())));
}
