import { describe, expect, it } from "vitest";
import type { BenchNeed } from "@/core/knowledge/touches";
import { type BenchGap, gapsFor } from "@/core/safety/bench-gaps";
import { AT_THE_DOOR, type BenchMachine } from "@/core/safety/bench-state";
import { LIMITS } from "../shop-context";
import { benchMachine } from "./bench-machine";

/** A machine in which everything that can hurt is there, and nothing of it is seen to. */
const WORST: BenchMachine = benchMachine({
  stores: ["start"],
  hasBattery: true,
  holds: ["springs", "lifted-load", "belt", "blades"],
  blocks: ["inside"],
});

/** What each need waits for, as SAFETY has it. */
const WAITS_FOR: Readonly<Record<BenchNeed, readonly BenchGap[]>> = {
  none: [],
  "plug-out": ["plug", "battery"],
  held: ["plug", "battery", "springs", "lifted-load", "belt"],
  turning: ["plug", "battery", "springs", "lifted-load", "belt", "blades"],
  "hands-inside": ["stop", "plug", "battery", "springs", "lifted-load", "belt", "charge"],
  "turning-inside": ["stop", "plug", "battery", "springs", "lifted-load", "belt", "blades", "charge"],
};

describe("what stands between the hands and a machine that was only taken in", () => {
  it.each(Object.entries(WAITS_FOR))("%s", (need, gaps) => {
    const state = { ...AT_THE_DOOR, battery: "in" as const };
    expect(gapsFor(state, need as BenchNeed, WORST, "2026-11-25T09:00:00.000Z", LIMITS)).toEqual(gaps);
  });
});
