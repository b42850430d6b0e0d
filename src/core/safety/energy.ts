import type { Limits } from "../knowledge/types";
import { AT_THE_DOOR, applyBenchEvent, type BenchMachine, type BenchState } from "./bench-state";
import type { EnergyEvent, LineEvent, ProofEvent } from "./energy-event";
import { applyProofEvent, type LiveState, NOTHING_PROVED } from "./live-state";

/** A line as the fold sees it. */
export interface EnergyLine {
  readonly seq: number;
  /** UTC, ISO 8601. */
  readonly at: string;
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
  "spoke",
  "told",
  "looked-inside",
  "incident",
  "explained",
  "without-grant",
]);

function isProofEvent(event: LineEvent): event is ProofEvent {
  return PROOFS.has(event.event);
}

/** Whether a line tells of power or charge: struck out, it leaves a doubt behind. */
export function tellsOfPower(events: readonly LineEvent[]): boolean {
  return events.some((event) => !isProofEvent(event) && event.event !== "opened" && event.event !== "closed");
}

function step(
  energy: Energy,
  line: EnergyLine,
  event: LineEvent,
  machine: BenchMachine,
  limits: Limits,
): Energy {
  if (isProofEvent(event)) return { ...energy, live: applyProofEvent(energy.live, event, line.seq) };
  const bench = applyBenchEvent(energy.bench, event satisfies EnergyEvent, line.at, machine, limits);
  const live = event.event === "opened" ? { ...energy.live, openedSeq: line.seq } : energy.live;
  return bench.ok ? { bench: bench.value, live } : { ...energy, live };
}

/**
 * The one energy model: every supply, store and barrier after all that was done and said, and the proofs that live work
 * is earned by. Pure; an event that does not fit the machine changes nothing.
 */
export function foldEnergy(lines: readonly EnergyLine[], machine: BenchMachine, limits: Limits): Energy {
  let energy: Energy = { bench: AT_THE_DOOR, live: NOTHING_PROVED };
  for (const line of lines)
    for (const event of line.events) energy = step(energy, line, event, machine, limits);
  return energy;
}
