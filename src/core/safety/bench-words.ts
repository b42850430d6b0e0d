import type { Limits } from "../knowledge/types";
import { formatText } from "../quantity/format";
import {
  type BenchMachine,
  type BenchState,
  gapsFor,
  hasOwnBattery,
  type StoredStanding,
  storedStanding,
} from "./bench-state";

/** How dangerous the machine stands there: drawn as a pattern, never as colour alone. */
export type BenchLevel = "live" | "charge" | "hands";

export interface BenchSummary {
  readonly level: BenchLevel;
  readonly words: string;
  /** One line: what to check to get further. */
  readonly check: string;
}

const WORST_FIRST: readonly StoredStanding[] = [
  "charged",
  "cannot",
  "not-read",
  "lapsed",
  "drained",
  "clip",
  "none",
];

function worstStored(state: BenchState, machine: BenchMachine, now: string, limits: Limits): StoredStanding {
  const ids = [...new Set([...machine.stores, ...state.stored.map(({ id }) => id)])];
  const standings = ids.map((id) => storedStanding(state, id, now, limits));
  return WORST_FIRST.find((one) => standings.includes(one)) ?? "none";
}

function worstVolts(state: BenchState): number {
  return Math.max(0, ...state.stored.map(({ volts }) => Math.abs(volts ?? 0)));
}

function chargeWords(standing: StoredStanding, state: BenchState): string {
  switch (standing) {
    case "charged":
      return `still ${formatText(worstVolts(state), "V")} on a capacitor`;
    case "cannot":
      return "charge could not be read";
    case "not-read":
      return "charge not read";
    case "lapsed":
      return "charge to be read again";
    case "drained":
      return `drained to ${formatText(worstVolts(state), "V")}`;
    case "clip":
      return "clip left on";
    case "none":
      return "nothing stores charge";
  }
}

const CHECKS: Readonly<Record<StoredStanding, string>> = {
  charged: "Drain it through the resistor and read it again.",
  cannot: "Treat every terminal as charged.",
  "not-read": "Read the volts across each capacitor.",
  lapsed: "Charge creeps back: read the volts once more.",
  drained: "Read again before hands go in after a while.",
  clip: "Take the clip off last.",
  none: "Hands may go in.",
};

function plugWords(state: BenchState, machine: BenchMachine): string {
  if (machine.connection === "battery") return "Battery out";
  const battery = hasOwnBattery(machine) ? ", battery out" : "";
  if (state.plug === "isolated") return `Isolated and proven dead${battery}`;
  return `${state.plugEvidence === "plug-in-pocket" ? "Unplugged, plug in pocket" : "Unplugged"}${battery}`;
}

/**
 * The bench state in words; the worst stored item counts. `state` is already as it may be relied on now.
 * @example "Unplugged, drained to 0.3 V"
 */
export function benchSummary(
  state: BenchState,
  machine: BenchMachine,
  now: string,
  limits: Limits,
): BenchSummary {
  if (state.plug === "plugged-in")
    return { level: "live", words: "Plugged in", check: "Unplug it and keep the plug in sight." };
  if (state.battery === "in") return { level: "live", words: "Battery in", check: "Take the battery out." };
  const open = gapsFor(state, "plug-out", machine, now, limits);
  const notDead = open.length > 0;
  if (open.includes("battery") && (machine.connection === "battery" || !open.includes("plug")))
    return {
      level: "live",
      words: "Not known: is the battery out?",
      check: "Take the battery out and lay it aside.",
    };
  if (open.includes("battery"))
    return {
      level: "live",
      words: "Not known: are plug and battery out?",
      check: "Look at both: unplugging alone makes nothing safe here.",
    };
  if (notDead && machine.connection === "fixed")
    return {
      level: "live",
      words: "Not known: is it isolated?",
      check: "Isolate, lock off, and prove it dead with a proved tester.",
    };
  if (notDead)
    return {
      level: "live",
      words: "Not known: is the plug out?",
      check: "Look at the plug, then say where it is.",
    };
  const standing = worstStored(state, machine, now, limits);
  const level = gapsFor(state, "hands-inside", machine, now, limits).length === 0 ? "hands" : "charge";
  return {
    level,
    words: `${plugWords(state, machine)}, ${chargeWords(standing, state)}`,
    check: CHECKS[standing],
  };
}
