import type { BenchMachine } from "@/core/safety/bench-state";

/** A machine of a test: a class I capacitor-start motor on a cord, unless it says otherwise. */
export function benchMachine(but: Partial<BenchMachine> = {}): BenchMachine {
  return {
    family: "capacitor-start",
    protection: "class-1",
    connection: "plug",
    stores: [],
    excusable: [],
    hasBattery: false,
    holds: [],
    blocks: [],
    hasSecondFeed: false,
    isOutOfScope: false,
    runsOn: false,
    stop: "stop-time",
    kindHas: [],
    asks: [],
    airs: [],
    ...but,
  };
}
