import { type BenchNeed, partsOf } from "../knowledge/touches";
import type { Limits, StoreId } from "../knowledge/types";
import type { BenchMachine, BenchState } from "./bench-state";
import { type ChargeState, chargeState } from "./charge-state";
import type { DangerKind } from "./dangers/danger";
import { HOLDABLE, type Holdable } from "./holdable";

/**
 * What still stands between the hands and the machine, in the order it is settled: what can move is held before a cover
 * comes off, and only under a cover are volts read.
 */
export const BENCH_GAPS = ["stop", "plug", "battery", "kind", ...HOLDABLE, "charge"] as const;
export type BenchGap = (typeof BENCH_GAPS)[number];

/** Whether a gap stands in the way of what needs this. */
export function concerns(gap: BenchGap, need: BenchNeed): boolean {
  const parts = partsOf(need);
  switch (gap) {
    case "plug":
    case "battery":
      return parts.isPlugOut;
    case "stop":
    case "charge":
      return parts.isDrained;
    case "blades":
      return parts.isBlocked;
    case "kind":
      return parts.isHeld || parts.isBlocked;
    case "coasting":
    case "springs":
    case "lifted-load":
    case "pressure":
    case "heat":
    case "belt":
      return parts.isHeld;
  }
}

const SETTLED: ReadonlySet<ChargeState> = new Set<ChargeState>(["drained", "clip", "none"]);

/** Nothing from outside reaches it. A battery machine that is not on a charger has no plug to speak of. */
function isCutOff(state: BenchState, machine: BenchMachine): boolean {
  if (machine.connection === "battery") return state.plug !== "plugged-in";
  // Two feeds: a plug that is out says nothing of the other one; only volts read do.
  if (machine.hasSecondFeed) return state.plug === "isolated" && state.provenDead !== undefined;
  return state.plug === "unplugged" || (state.plug === "isolated" && state.provenDead !== undefined);
}

/** Unplugging never makes a battery machine safe: its battery must be out as well. */
function hasBatteryIn(state: BenchState, machine: BenchMachine): boolean {
  return state.battery === "in" || (hasOwnBattery(machine) && state.battery !== "out");
}

export function hasOwnBattery(machine: BenchMachine): boolean {
  return machine.hasBattery || machine.connection === "battery";
}

/** @returns the gaps between the state (already `asSeen`) and what a move needs. */
export function gapsFor(
  state: BenchState,
  need: BenchNeed,
  machine: BenchMachine,
  now: string,
  limits: Limits,
): BenchGap[] {
  const isSettled = (id: StoreId): boolean => SETTLED.has(chargeState(state, id, now, limits));
  const isDrained = machine.stores.every(isSettled) && state.stored.every(({ id }) => isSettled(id));
  const keepsOut = (...kinds: readonly DangerKind[]): boolean =>
    state.keepsOut.some((kind) => kinds.includes(kind));
  const when = (stands: boolean, gap: BenchGap): BenchGap[] => (stands ? [gap] : []);
  return [
    ...when(machine.blocks.includes("inside"), "stop"),
    ...when(!isCutOff(state, machine) || keepsOut("live", "left-plugged-in"), "plug"),
    ...when(hasBatteryIn(state, machine), "battery"),
    ...when(machine.asks.length > 0, "kind"),
    ...loosened(state, machine),
    ...when(!isDrained || keepsOut("charged"), "charge"),
  ].filter((gap) => concerns(gap, need));
}

/** What can move by itself, or with the shaft, and is not said to be held. */
function loosened(state: BenchState, machine: BenchMachine): Holdable[] {
  const loose = new Set(state.held.filter(({ is }) => is === "free").map(({ id }) => id));
  const settled = new Set(state.held.filter(({ is }) => is !== "free").map(({ id }) => id));
  for (const id of machine.holds) if (!settled.has(id)) loose.add(id);
  return [...loose];
}
