import { describe, expect, it } from "vitest";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { gapsFor } from "@/core/safety/bench-gaps";
import { type Line, logOf, T0, viewOf } from "../job/entries";
import { LIMITS } from "../shop-context";
import { took } from "./promise-lines";

const MOWER = took({ hazards: ["blades"], family: "split-phase", protectionClass: "class-2" });
const bench = (event: BenchEvent): Line => ["bench-state", event];
const OUT = bench({ event: "unplugged", evidence: "plug-in-sight" });
const IN = bench({ event: "plugged-in", outlet: "residual-current" });
const STANDS = bench({ event: "held", id: "coasting", is: "held" });
const gaps = (...lines: readonly Line[]) => {
  const { bench: state, machine } = viewOf(logOf(...lines));
  return gapsFor(state, "hands-inside", machine, new Date(T0).toISOString(), LIMITS);
};

describe("what runs on after the switch is off", () => {
  it("stands still as it comes in: nobody is asked", () => {
    expect(gaps(MOWER, OUT)).toEqual([]);
  });

  it("keeps hands out after power, until somebody saw it stand still", () => {
    expect(gaps(MOWER, IN, OUT)).toEqual(["coasting"]);
    expect(gaps(MOWER, IN, OUT, STANDS)).toEqual([]);
    expect(gaps(MOWER, IN, STANDS, OUT, IN, OUT)).toEqual(["coasting"]);
  });

  it("nobody's hands go to what was read live, though its plug is said to be out since", () => {
    const live = bench({ event: "isolated", volts: 90, means: "two-pole tester" });
    const plain = took({ family: "split-phase", protectionClass: "class-2" });
    expect(gaps(plain, live, OUT)).toEqual(["plug"]);
    expect(gaps(plain, live, bench({ event: "isolated", volts: 0, means: "two-pole tester" }), OUT)).toEqual(
      [],
    );
  });

  it("is asked of no machine that does not run on", () => {
    expect(gaps(took({ family: "split-phase", protectionClass: "class-2" }), IN, OUT)).toEqual([]);
  });
});
