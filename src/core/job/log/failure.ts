import type { Entry } from "./entry";
import type { LedgerLine } from "./view";

/** Whether a line tells of a protection or a run that failed, or of what power did: it is struck out only with a reason, and is not forgotten by that. */
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
