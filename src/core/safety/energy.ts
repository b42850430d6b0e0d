import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import { ok } from "../result";
import { AT_THE_DOOR, applyBenchEvent, type BenchMachine, type BenchState } from "./bench-state";
import { withholding } from "./dangers/danger";
import { energyDangers } from "./dangers/energy-dangers";
import { applyDangerEvent } from "./dangers/fold-dangers";
import type { DangerEvent, EnergyEvent, LineEvent, ProofEvent } from "./energy-event";
import { applyProofEvent, type LiveState, NOTHING_PROVED } from "./live-state";
import { minutesCounted, type RunSpan, spanOf, withPowerClock } from "./power-clock";
import { stopSays } from "./stop-time";

/** A line as the fold sees it. */
export interface EnergyLine {
  readonly seq: number;
  /** UTC, ISO 8601. */
  readonly at: string;
  /** Line that struck it out: its events are those that a strike leaves. 0 while it stands. */
  readonly struckBy: number;
  readonly events: readonly LineEvent[];
}

/** Where all energy of a machine stands, and what was proved of it. */
export interface Energy {
  readonly bench: BenchState;
  readonly live: LiveState;
}

const PROOFS: ReadonlySet<string> = new Set<ProofEvent["event"]>([
  "checked",
  "worked",
  "told",
  "looked-inside",
  "incident",
  "stalled",
  "without-grant",
]);
const DANGERS: ReadonlySet<string> = new Set<DangerEvent["event"]>([
  "danger",
  "worked",
  "tested",
  "ran",
  "explained",
]);
const COVERS: ReadonlySet<string> = new Set<EnergyEvent["event"]>([
  "opened",
  "closed",
  "left",
  "seen-to-anew",
]);

function isProofEvent(event: LineEvent): event is ProofEvent {
  return PROOFS.has(event.event);
}

function isDangerEvent(event: LineEvent): event is DangerEvent {
  return DANGERS.has(event.event);
}

function isEnergyEvent(event: LineEvent): event is EnergyEvent {
  return event.event !== "stopped-in" && !PROOFS.has(event.event) && !DANGERS.has(event.event);
}

/** Whether a line tells of power or charge: struck out, it leaves a doubt behind. */
export function tellsOfPower(events: readonly LineEvent[]): boolean {
  return events.some((event) => isEnergyEvent(event) && !COVERS.has(event.event));
}

type Ran = Extract<DangerEvent, { event: "ran" }>;

/** A run with the minutes that the clock allows; one of a moment proves nothing. */
function counted(run: Ran, span: RunSpan, limits: Limits): Ran {
  const minutes = minutesCounted(run.minutes, span);
  return { ...run, minutes: minutes * 60 >= limitOf(limits, "run-least").value ? minutes : 0 };
}

function step(
  energy: Energy,
  line: EnergyLine,
  event: LineEvent,
  machine: BenchMachine,
  limits: Limits,
): Energy {
  let { bench, live } = energy;
  const isStruck = line.struckBy > 0;
  if (isProofEvent(event)) live = applyProofEvent(live, event, line.seq);
  let { dangers } = live;
  // Only what runs on has a brake whose stop could be timed.
  const isNoBrake = event.event === "danger" && event.kind === "brake" && !machine.runsOn;
  if (event.event === "ran") {
    const span = spanOf(live.runs, bench, line.seq, line.at);
    if (!isStruck) live = { ...live, runs: [...live.runs, span] };
    dangers = applyDangerEvent(dangers, counted(event, span, limits), line.seq, line.struckBy);
  } else if (event.event === "stopped-in") {
    for (const one of stopSays(event.seconds, machine, limits))
      if (one.event === "danger" || (event.isTest && !isStruck))
        dangers = applyDangerEvent(dangers, one, line.seq, line.struckBy);
  } else if (isDangerEvent(event) && !isNoBrake) {
    dangers = applyDangerEvent(dangers, event, line.seq, line.struckBy);
  }
  if (isEnergyEvent(event)) {
    // Volts that were struck out close nothing, and stay a danger.
    for (const one of energyDangers(bench, event, limits))
      if (!isStruck || one.event === "danger")
        dangers = applyDangerEvent(dangers, one, line.seq, line.struckBy);
    // Struck out, volts that were dead make nothing dead any more.
    const isWithdrawn =
      isStruck && "volts" in event && Math.abs(event.volts) <= limitOf(limits, "safe-to-work-volts").value;
    const next = isWithdrawn ? ok(bench) : applyBenchEvent(bench, event, line.at, machine, limits);
    // What does not count took no plug out either.
    const isStillIn = isStruck && event.event === "isolated" && bench.plug === "plugged-in";
    if (next.ok)
      bench = withPowerClock(
        bench,
        isStillIn ? { ...next.value, plug: bench.plug, outlet: bench.outlet } : next.value,
        event,
        line.at,
        machine,
      );
  }
  const openedSeq = event.event === "opened" ? line.seq : live.openedSeq;
  return { bench, live: { ...live, dangers, openedSeq } };
}

/**
 * The one energy model: every supply, store and barrier after all that was done and said, and the proofs that live work
 * is earned by. Pure; an event that does not fit the machine changes nothing.
 */
export function foldEnergy(lines: readonly EnergyLine[], machine: BenchMachine, limits: Limits): Energy {
  let energy: Energy = { bench: AT_THE_DOOR, live: NOTHING_PROVED };
  for (const line of lines)
    for (const event of line.events) energy = step(energy, line, event, machine, limits);
  const { bench, live } = energy;
  return { live, bench: { ...bench, keepsOut: withholding(live.dangers, "hands").map(({ kind }) => kind) } };
}
