import { type Danger, isNeverMistaken } from "../../safety/dangers/danger";
import type { Entry } from "./entry";
import type { LedgerLine } from "./view";

/** Kinds that take something away from what is known of the machine, whatever they say. */
const TAKES_AWAY: ReadonlySet<Entry["kind"]> = new Set<Entry["kind"]>([
  "taken-in",
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
