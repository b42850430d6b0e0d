import { describe, expect, it } from "vitest";
import { machineState } from "@/core/isolation/power-path";
import { KNOWLEDGE } from "../shop-context";
import { chanceOf, isolate, isolated, request, type Said, station } from "./model";

const HUMS: readonly Said[] = [
  ["owner-report", "hums-still"],
  ["push-start", "runs"],
  ["turn-shaft", "free"],
];

describe("a machine that hums, does not turn, runs when pushed, shaft free", () => {
  it("has its fault in the start circuit first, and is offered the unplugged capacitor measurement before any live move", () => {
    const found = isolated(HUMS);
    expect(Math.max(...found.stations.map(({ chance }) => chance))).toBe(station(found, "start-circuit"));
    expect(station(found, "start-circuit")).toBeGreaterThan(0.8);
    const measured = found.moves.findIndex(({ moveId }) => moveId === "start-capacitance");
    expect(found.moves[measured]).toMatchObject({ tier: 1, blockedBy: [] });
    const firstLive = found.moves.findIndex(({ tier }) => tier > 1);
    expect(firstLive === -1 || measured < firstLive).toBe(true);
    expect(found.moves[0]?.tier).toBe(1);
  });

  it("with the capacitor inside its mark, suspicion moves to switch, leads and start winding", () => {
    const found = isolated([...HUMS, ["start-capacitance", "inside"]]);
    expect(
      found.suspects
        .slice(0, 3)
        .map(({ roots }) => roots[0])
        .sort(),
    ).toEqual(["capacitor-lead-off", "start-switch-stuck-open", "start-winding-open"]);
    expect(chanceOf(found, "start-capacitor-low")).toBeLessThan(0.05);
  });

  it("with the capacitor below its mark, the purchase gate opens and trying it now is advised", () => {
    const found = isolated([...HUMS, ["start-capacitance", "below"]]);
    expect(found.suspects[0]).toMatchObject({ roots: ["start-capacitor-low"] });
    expect(found.purchaseGate).toEqual({ open: true, needs: [] });
    expect(found.stop.advised).toBe(true);
    expect(isolated(HUMS).purchaseGate).toEqual({ open: false, needs: ["direct-proof"] });
  });

  it("a number read weighs as the number says: far below, at the edge, inside", () => {
    const at = (value: number) =>
      chanceOf(
        isolated(HUMS, {
          evidence: [
            ...request(HUMS).evidence,
            { seq: 4, moveId: "start-capacitance", outcomeId: "below", ratio: { value, halfWidth: 0.01 } },
          ],
        }),
        "start-capacitor-low",
      );
    expect(at(0.43)).toBeGreaterThan(0.9);
    expect(at(0.43)).toBeGreaterThan(at(0.93));
    expect(at(0.93)).toBeGreaterThan(at(1.1));
    expect(at(1.1)).toBeLessThan(0.1);
  });
});

describe("roots and consequences", () => {
  it("fuse open with a locked shaft: the seized bearing is the root, the fuse its consequence", () => {
    const found = isolated([
      ["owner-report", "nothing"],
      ["fuse-ohms", "open"],
      ["turn-shaft", "locked"],
    ]);
    expect(found.suspects[0]).toMatchObject({ roots: ["bearing-seized"], consequences: ["fuse-open"] });
    expect(chanceOf(found, "fuse-open")).toBeLessThan(0.02);
  });

  it("a fuse alone, with nothing else said, is still more often a consequence than a root", () => {
    const found = isolated([["fuse-ohms", "open"]]);
    expect(chanceOf(found, "fuse-open")).toBeLessThan(0.35);
  });
});

describe("masking along the power path", () => {
  const voice = (...faults: string[]): string | undefined =>
    machineState(faults, "cold", KNOWLEDGE).conditions["voice"];
  it("an open fuse hides the hum of a bad capacitor circuit", () => {
    expect(voice("start-capacitor-open")).toBe("hum");
    expect(voice("start-capacitor-open", "fuse-open")).toBe("silent");
    const silent = isolated([
      ["switch-on", "silent"],
      ["fuse-ohms", "open"],
    ]);
    const capacitor = silent.suspects
      .filter(({ roots }) => roots[0]?.startsWith("start-capacitor"))
      .reduce((sum, { chance }) => sum + chance, 0);
    expect(capacitor).toBeGreaterThan(0.05);
  });

  it("seized with a whole fuse hums, seized with an open fuse is silent", () => {
    expect(voice("bearing-seized")).toBe("hum");
    expect(voice("bearing-seized", "fuse-open")).toBe("silent");
    const found = isolated([
      ["turn-shaft", "locked"],
      ["switch-on", "silent"],
    ]);
    expect(found.suspects[0]?.roots[0]).toMatch(/bearing-seized|load-jammed/);
    expect(found.suspects[0]?.consequences.length).toBeGreaterThan(0);
  });
});

describe("what stands against a move, and what proves a part good", () => {
  it("live moves wait for the dead checks", () => {
    const found = isolated([], {
      bench: { plug: "unplugged", drained: true, deadChecksPassed: false, opened: [] },
    });
    const powered = new Set(KNOWLEDGE.moves.filter(({ power }) => power !== "off").map(({ id }) => id));
    const live = found.moves.filter(({ moveId }) => powered.has(moveId));
    expect(live.length).toBeGreaterThan(0);
    expect(live.every(({ blockedBy }) => blockedBy.includes("dead-checks"))).toBe(true);
  });

  it("only a reading made at the station itself proves it good", () => {
    const found = isolated([...HUMS, ["start-capacitance", "below"], ["overload-ohms", "closed"]]);
    const proved = Object.fromEntries(found.stations.map(({ id, provedGoodBy }) => [id, provedGoodBy]));
    expect(proved).toMatchObject({
      protection: 5,
      supply: null,
      switches: null,
      rotor: null,
      windings: null,
    });
  });

  it("opening what is open already costs nothing", () => {
    const of = (opened: string[]) =>
      isolated([], {
        bench: { plug: "unplugged", drained: true, deadChecksPassed: true, opened },
      }).moves.find(({ moveId }) => moveId === "start-capacitance");
    expect(of([])?.stateMinutes).toBe(2);
    expect(of(["capacitor-cover"])?.stateMinutes).toBe(0);
  });

  it("says so when answers contradict each other, and names the ones in doubt", () => {
    const found = isolated([
      ["pair-ohms", "run-open"],
      ["switch-on", "runs"],
      ["clamp-current", "normal"],
      ["push-start", "runs"],
    ]);
    expect(found.conflicts[0]?.doubted).toContain(1);
    expect(isolated(HUMS).conflicts).toEqual([]);
  });
});

describe("bad input", () => {
  const codes = (said: readonly Said[], change = {}): string[] => {
    const answer = isolate(request(said, change));
    return answer.ok ? [] : answer.issues.map(({ code }) => code);
  };
  it.each<[string, readonly Said[], object, string]>([
    ["a move this kind does not have", [["run-capacitance", "below"]], {}, "isolation/no-such-move"],
    ["an answer the move does not have", [["turn-shaft", "wobbly"]], {}, "isolation/no-such-answer"],
    ["a family that is not covered", [], { machine: { family: "steam" } }, "isolation/family-not-covered"],
    [
      "a fault that does not exist",
      [],
      { interventions: [{ epoch: 1, faultIds: ["curse"], success: 1 }] },
      "isolation/no-such-fault",
    ],
  ])("%s", (_, said, change, code) => {
    expect(codes(said, change)).toEqual([code]);
  });

  it("not sure and could not say nothing about the machine", () => {
    const silent = isolated([
      ["turn-shaft", "not-sure"],
      ["fuse-ohms", "could-not"],
    ]);
    expect(silent.suspects.map(({ chance }) => chance)).toEqual(
      isolated([]).suspects.map(({ chance }) => chance),
    );
    expect(silent.moves.map(({ moveId }) => moveId)).not.toContain("turn-shaft");
  });
});
