import { type Danger, isNeverMistaken } from "../../safety/dangers/danger";
import type { Entry } from "./entry";
import type { LedgerLine } from "./view";

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

/** Kinds that take something away from what is known of the machine, whatever they say. */
const TAKES_AWAY: ReadonlySet<Entry["kind"]> = new Set<Entry["kind"]>([
  "complaint",
  "nameplate",
  "opened",
  "intervention",
  "reopened",
]);

/** Whether a line tells of a protection or a run that failed, or of what power did. */
export function tellsOfFailure(line: Entry | LedgerLine): boolean {
  switch (line.kind) {
    case "reading":
      return line.payload.of === "dead-check" && line.payload.verdict === "failed";
    case "acceptance-run":
      return line.payload.result !== "gone";
    case "bench-state":
      return line.payload.event === "incident";
    default:
      return false;
  }
}

/** Whether a line goes only with a reason: it told of something that hurts, failed, or was done. */
export function needsReason(line: Entry | LedgerLine, dangers: readonly Danger[]): boolean {
  return (
    TAKES_AWAY.has(line.kind) || tellsOfFailure(line) || dangers.some(({ openedBy }) => openedBy === line.seq)
  );
}

/** Whether a line told of a shock, smoke, water, trips or volts: no tap takes that back. */
export function isNeverSlip(seq: number, dangers: readonly Danger[]): boolean {
  return dangers.some(({ openedBy, kind }) => openedBy === seq && isNeverMistaken(kind));
}
