/** Why a line is struck out, as it is asked for; what was worked on, seen or told is not forgotten by that. */
export const STRIKE_REASONS = [
  "typed-wrongly",
  "probes-slipped",
  "told-wrongly",
  "other-machine",
  "written-twice",
  "asked-again",
  "not-done",
] as const;
export type StrikeReason = (typeof STRIKE_REASONS)[number];

/** How long the one tap that takes back a slip is offered. Milliseconds, by the clock of the server. */
export const SLIP_MS = 8_000;

/** Whether a line is struck out within the seconds of undo; a clock that was set back in between says nothing. */
export function isWithinSlip(at: string, struckAt: string): boolean {
  const since = Date.parse(struckAt) - Date.parse(at);
  return since >= 0 && since <= SLIP_MS;
}
