import { describe, expect, it } from "vitest";
import { hazardsLost } from "@/core/job/door/hazards-lost";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { type Line, logOf, viewOf } from "../job/entries";
import { KNOWLEDGE } from "../shop-context";
import { CHECKED, MEASURED, missing, PLUGGED, RUN, SIGNED, told, took } from "./promise-lines";

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
    const mower = { machine: "Hedge trimmer", hazards: ["springs"] };
    expect(hazardsLost(mower, mower, archetypes)).toEqual([]);
    expect(hazardsLost(mower, { ...mower, hazards: [] }, archetypes)).toEqual(["springs"]);
    expect(hazardsLost(mower, { machine: "Green thing", hazards: [] }, archetypes)).toEqual([
      "springs",
      "blades",
    ]);
    expect(
      hazardsLost(mower, { machine: "Green thing", hazards: ["blades", "springs"] }, archetypes),
    ).toEqual([]);
  });
});
