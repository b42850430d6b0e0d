import type { Limits } from "../knowledge/types";
import { gapsFor, hasOwnBattery } from "./bench-gaps";
import type { BenchMachine, BenchState } from "./bench-state";
import { type ChargeState, chargeState } from "./charge-state";

/** How dangerous the machine stands there: drawn as a pattern, never as colour alone. */
export type BenchLevel = "live" | "charge" | "hands";

/** What is on, or not known to be off. */
export type LiveCode =
  | "plugged-in"
  | "battery-in"
  | "battery-not-known"
  | "plug-and-battery-not-known"
  | "isolation-not-known"
  | "plug-not-known";

/** How it was made dead. */
export type DeadCode = "battery-out" | "isolated" | "unplugged" | "plug-in-pocket";

/** The bench state as codes; volts are the largest read on anything that stores charge. */
export type BenchSummary =
  | { readonly level: "live"; readonly code: LiveCode }
  | {
      readonly level: "charge" | "hands";
      readonly code: DeadCode;
      /** A battery of its own was taken out as well. */
      readonly isBatteryOut: boolean;
      readonly charge: ChargeState;
      readonly volts: number;
      /** One of them was over the meter’s range. */
      readonly over: boolean;
    };

const WORST_FIRST: readonly ChargeState[] = [
  "charged",
  "cannot",
  "clip-unread",
  "not-read",
  "lapsed",
  "once",
  "drained",
  "clip",
  "none",
];

function worstCharge(state: BenchState, machine: BenchMachine, now: string, limits: Limits): ChargeState {
  const ids = [...new Set([...machine.stores, ...state.stored.map(({ id }) => id)])];
  const each = ids.map((id) => chargeState(state, id, now, limits));
  return WORST_FIRST.find((one) => each.includes(one)) ?? "none";
}

function worstVolts(state: BenchState): number {
  return Math.max(0, ...state.stored.map(({ volts }) => Math.abs(volts ?? 0)));
}

function liveCode(
  state: BenchState,
  machine: BenchMachine,
  open: ReturnType<typeof gapsFor>,
): LiveCode | undefined {
  if (state.plug === "plugged-in") return "plugged-in";
  if (state.battery === "in") return "battery-in";
  if (open.includes("battery"))
    return machine.connection === "battery" || !open.includes("plug")
      ? "battery-not-known"
      : "plug-and-battery-not-known";
  if (open.length === 0) return undefined;
  return machine.connection === "fixed" ? "isolation-not-known" : "plug-not-known";
}

function deadCode(state: BenchState, machine: BenchMachine): DeadCode {
  if (machine.connection === "battery") return "battery-out";
  if (state.plug === "isolated") return "isolated";
  return state.plugEvidence === "plug-in-pocket" ? "plug-in-pocket" : "unplugged";
}

/**
 * The bench state in one line; the worst stored item counts. `state` is already as it may be relied on now.
 * @param now instant it is looked at, ISO 8601
 */
export function benchSummary(
  state: BenchState,
  machine: BenchMachine,
  now: string,
  limits: Limits,
): BenchSummary {
  const live = liveCode(state, machine, gapsFor(state, "plug-out", machine, now, limits));
  if (live) return { level: "live", code: live };
  return {
    level: gapsFor(state, "hands-inside", machine, now, limits).length === 0 ? "hands" : "charge",
    code: deadCode(state, machine),
    isBatteryOut: machine.connection !== "battery" && hasOwnBattery(machine),
    charge: worstCharge(state, machine, now, limits),
    volts: worstVolts(state),
    over: state.stored.some(({ over }) => over === true),
  };
}
