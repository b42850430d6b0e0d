import { describe, expect, it } from "vitest";
import { hazardsLost } from "@/core/job/door/hazards-lost";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { applyBenchEvent } from "@/core/safety/bench-state";
import { type Line, logOf, T0, viewOf } from "../job/entries";
import { KNOWLEDGE, LIMITS } from "../shop-context";
import { answer, CHECKED, MEASURED, missing, PLUGGED, RUN, SIGNED, told, took } from "./promise-lines";

const bench = (event: BenchEvent): Line => ["bench-state", event];
const OUT = bench({ event: "unplugged", evidence: "plug-in-sight" });
const REOPENED: Line = ["reopened", { why: "smells again" }];
const machineOf = (machine: string) => viewOf(logOf(took({ machine, hazards: [] }))).machine;

describe("what a kind of machine brings by its name", () => {
  it("what holds an oven transformer stops altogether, before any move", () => {
    expect(machineOf("Old microwave, white").blocks).toEqual(["inside", "power"]);
    const oven = took({ machine: "Microwave oven" });
    for (const move of KNOWLEDGE.moves.filter(({ needs }) => needs === "hands-inside"))
      expect(
        missing(
          [oven, told(), OUT],
          ["answer", { moveId: move.id, outcomeId: "x", circumstance: "cold", taken: "now", why: "" }],
        ),
        move.id,
      ).toContain("stop");
    expect(missing([oven, told(), ...CHECKED, PLUGGED], RUN)).toContain("stop");
  });

  it("what its kind has is not said away without a reason", () => {
    const mower = [took({ machine: "Hedge trimmer", hazards: [] }), OUT];
    const none = (why?: string): Line => bench({ event: "held", id: "blades", is: "none", why });
    expect(missing(mower, none())).toBe("");
    expect(missing(mower, none("x"))).toBe("x");
    expect(missing(mower, none("taken off before it came in"))).toBeUndefined();
    expect(missing([took({ machine: "Thingummy", hazards: ["blades"] }), OUT], none())).toBeUndefined();
  });

  it("a name that is not known asks three questions before hands go in, each answered by what it has or that it has none", () => {
    const asks = (change: Parameters<typeof took>[0]) => viewOf(logOf(took(change))).machine.asks;
    const unknown = { machine: "Thingummy", hazards: [], hasNone: [] };
    expect(asks(unknown)).toEqual(["springs-or-weight", "blades-or-rollers", "heat-or-pressure"]);
    expect(asks({ ...unknown, hazards: ["lifted-load", "heat"] })).toEqual(["blades-or-rollers"]);
    expect(asks({ ...unknown, hasNone: ["heat-or-pressure"] })).not.toContain("heat-or-pressure");
    expect(asks({ ...unknown, machine: "Wool carder" })).toEqual([]);
    const turned = (taken: "now" | "afterwards"): Line => [
      "answer",
      { moveId: "turn-shaft", outcomeId: "x", circumstance: "cold", taken, why: "" },
    ];
    expect(missing([took(unknown), told(), OUT], turned("now"))).toContain("kind");
    expect(missing([took(unknown), told(), OUT], turned("afterwards"))).toBeUndefined();
    const pressed = took({ ...unknown, hazards: ["pressure", "springs"], hasNone: ["blades-or-rollers"] });
    expect(missing([pressed, told(), OUT], turned("now"))).toContain("pressure");
    const letOff = [
      bench({ event: "held", id: "pressure", is: "held" }),
      bench({ event: "held", id: "springs", is: "held" }),
    ];
    expect(missing([pressed, told(), OUT, ...letOff], turned("now"))).toBeUndefined();
    // Power builds it up again.
    expect(missing([pressed, told(), ...letOff, PLUGGED, OUT], turned("now"))).toContain("pressure");
  });

  it("what heats is felt cold before hands go in, some minutes after power and again after the next", () => {
    const turned: Line = [
      "answer",
      { moveId: "turn-shaft", outcomeId: "x", circumstance: "cold", taken: "now", why: "" },
    ];
    const cold = bench({ event: "held", id: "heat", is: "held" });
    const hot = [took({ machine: "Wool carder", hazards: ["heat"] }), told()];
    expect(missing([...hot, OUT], turned)).toContain("heat");
    expect(missing([...hot, OUT, cold], turned)).toBeUndefined();
    expect(missing([...hot, OUT, cold, bench({ event: "temperature", is: "hot" })], turned)).toContain(
      "heat",
    );
    expect(missing([...hot, OUT, cold, PLUGGED, OUT], turned)).toContain("heat");
    // Lines stand a minute apart.
    const feltAfter = (minutes: number) => {
      const { bench: state, machine } = viewOf(logOf(...hot, PLUGGED, OUT));
      const at = new Date(T0 + (3 + minutes) * 60_000).toISOString();
      return applyBenchEvent(state, { event: "held", id: "heat", is: "held" }, at, machine, LIMITS);
    };
    expect(feltAfter(5)).toMatchObject({
      issues: [{ code: "bench/still-hot", message: expect.stringContaining("5 min") }],
    });
    expect(feltAfter(10).ok).toBe(true);
    // A run that is written down late, or volts on what was to be dead: it was hot until now, for all that is known.
    for (const line of [
      answer("switch-on", "runs", "afterwards"),
      bench({ event: "isolated", volts: 90, means: "tester" }),
    ]) {
      const late = viewOf(logOf(...hot, line, OUT));
      const soon = new Date(T0 + 4 * 60_000).toISOString();
      expect(
        applyBenchEvent(late.bench, { event: "held", id: "heat", is: "held" }, soon, late.machine, LIMITS).ok,
      ).toBe(false);
    }
    const { bench: on, machine } = viewOf(logOf(...hot, PLUGGED));
    expect(
      applyBenchEvent(on, { event: "held", id: "heat", is: "held" }, "2026-11-26", machine, LIMITS),
    ).toMatchObject({
      issues: [{ code: "bench/still-on" }],
    });
  });

  it.each(["vapour", "explosive-dust"])("%s keeps power off until it was aired", (id) => {
    const lines = [took({ hazards: [id] }), told(), ...CHECKED, PLUGGED];
    expect(missing(lines, RUN)).toContain("air");
    expect(missing(lines, MEASURED)).toContain("air");
    expect(missing([...lines, bench({ event: "seen-to", id })], RUN)).toBeUndefined();
  });

  it("what was aired before it was told, or on another visit, is aired again", () => {
    const seen = bench({ event: "seen-to", id: "vapour" });
    const early = [took(), told(), seen, took({ hazards: ["vapour"] }), ...CHECKED, PLUGGED];
    expect(missing(early, RUN)).toContain("air");
    expect(missing([...early, seen], RUN)).toBeUndefined();
    const back = [took({ hazards: ["vapour"] }), told(), seen, SIGNED, REOPENED, ...CHECKED, PLUGGED];
    expect(missing(back, RUN)).toContain("air");
    expect(
      missing([...back, ["struck", { seq: 5, why: "", reason: "told-wrongly" }], PLUGGED], RUN),
    ).toContain("air");
  });

  it("a sealed circuit and a toy have their caution by name", () => {
    expect(KNOWLEDGE.archetypes.find(({ id }) => id === "dehumidifier")?.hazards).toContain("sealed-circuit");
    expect(KNOWLEDGE.archetypes.find(({ id }) => id === "toy-vehicle")?.hazards).toContain("toy");
  });

  it("what was said of it is taken back with a reason only, also by another name", () => {
    const { archetypes } = KNOWLEDGE;
    const mower = { machine: "Hedge trimmer", hazards: ["springs"], heater: "no" } as const;
    expect(hazardsLost(mower, mower, archetypes)).toEqual([]);
    expect(hazardsLost(mower, { ...mower, hazards: [] }, archetypes)).toEqual(["springs"]);
    expect(hazardsLost(mower, { ...mower, machine: "Green thing", hazards: [] }, archetypes)).toEqual([
      "springs",
      "blades",
    ]);
    expect(
      hazardsLost(mower, { ...mower, machine: "Green thing", hazards: ["blades", "springs"] }, archetypes),
    ).toEqual([]);
    const heated = { ...mower, heater: "yes" } as const;
    expect(hazardsLost(heated, mower, archetypes)).toEqual(["heat"]);
    expect(hazardsLost(mower, heated, archetypes)).toEqual([]);
  });
});
