import { type BenchMachine, type BenchState, isPowered } from "./bench-state";
import type { EnergyEvent } from "./energy-event";

/** A run that was made now, and when it can have begun at the earliest. */
export interface RunSpan {
  readonly seq: number;
  /** UTC, ISO 8601. */
  readonly from: string;
  /** When it was written down, UTC, ISO 8601. */
  readonly until: string;
}

const SAYS_OFF: ReadonlySet<string> = new Set<EnergyEvent["event"]>(["unplugged", "isolated", "battery"]);

/**
 * Since when power is on: from the first line that says so, and for a battery, which nobody says is in again, from the last
 * that said it was out.
 * @param at instant of the event, ISO 8601
 */
export function withPowerClock(
  before: BenchState,
  after: BenchState,
  event: EnergyEvent,
  at: string,
  machine: BenchMachine,
): BenchState {
  if (!isPowered(after)) {
    // Volts on what was to be dead, or a run that is written down late: it was on until now, for all that is known.
    const wasOn =
      isPowered(before) ||
      event.event === "may-have-had-power" ||
      (event.event === "isolated" && after.plug !== "isolated");
    const offAt = SAYS_OFF.has(event.event) ? at : before.offAt;
    return {
      ...after,
      onSince: undefined,
      offAt,
      poweredUntil: wasOn ? at : before.poweredUntil,
    };
  }
  const begun = machine.connection === "battery" && event.event === "powered" ? (before.offAt ?? at) : at;
  return { ...after, onSince: isPowered(before) ? (before.onSince ?? at) : begun };
}

/** The run of a line: it began after power came, and after the run before it had ended. */
export function spanOf(runs: readonly RunSpan[], { onSince }: BenchState, seq: number, at: string): RunSpan {
  const begun = onSince ?? at;
  const before = runs.at(-1)?.until;
  return { seq, from: before !== undefined && before > begun ? before : begun, until: at };
}

/** What is typed is rounded to the minute. */
const ROUNDING = 1;

/** The minutes of a run that the clock allows: power was not on for longer. */
export function minutesCounted(minutes: number, span: Pick<RunSpan, "from" | "until"> | undefined): number {
  if (!span) return minutes;
  const elapsed = (Date.parse(span.until) - Date.parse(span.from)) / 60_000;
  return Math.min(minutes, Math.max(0, elapsed) + ROUNDING);
}
