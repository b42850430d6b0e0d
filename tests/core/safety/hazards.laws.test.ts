import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { hazardFacts } from "@/core/job/log/bench-machine";
import type { TakenIn } from "@/core/job/log/entry";
import { finalTests } from "@/core/job/sign-off/sign-off";
import { gapsFor } from "@/core/safety/bench-gaps";
import { AT_THE_DOOR, applyBenchEvent, type BenchMachine } from "@/core/safety/bench-state";
import { benchSummary } from "@/core/safety/bench-summary";
import { alternativeTo, checksFor, type ProtectionClass } from "@/core/safety/dead-checks";
import type { EnergyEvent as BenchEvent } from "@/core/safety/energy-event";
import { hazardIds } from "@/core/safety/hazards";
import { reduceJob } from "@/log/reduce";
import { CARDER, logOf } from "../job/entries";
import { KNOWLEDGE, LIMITS, RUNS } from "../shop-context";
import { benchMachine } from "./bench-machine";

const NOW = "2026-11-25T10:00:00.000Z";
const CLASSES = ["class-1", "class-2", "class-3", "battery", "not-known"] as const;
const CONNECTIONS = ["plug", "detachable-cord", "fixed", "battery", "not-known"] as const;
const family = fc.constantFrom(...KNOWLEDGE.families.map(({ id }) => id));
const takenIn: fc.Arbitrary<TakenIn> = fc
  .record({
    family,
    protectionClass: fc.constantFrom(...CLASSES),
    connection: fc.constantFrom(...CONNECTIONS),
    hazards: fc.subarray(KNOWLEDGE.hazards.map(({ id }) => id)),
  })
  .map((change) => ({ ...CARDER, ...change }));

/** All that a screen could say, but for taking the battery out. */
const notTheBattery: fc.Arbitrary<BenchEvent> = fc.constantFrom<BenchEvent>(
  { event: "unplugged", evidence: "plug-in-sight" },
  { event: "unplugged", evidence: "cord-off-machine" },
  { event: "isolated", volts: 0, means: "tester" },
  { event: "plugged-in", outlet: "not-said" },
  { event: "not-known" },
  { event: "battery", is: "in" },
  { event: "nothing-stores", why: "" },
  { event: "stored-clip", id: "start" },
  { event: "stored-volts", id: "bus", volts: 0, dielectric: "film" },
  { event: "held", id: "springs", is: "held" },
  { event: "seen-to", id: "battery" },
);

function stateAfter(machine: BenchMachine, events: readonly BenchEvent[]) {
  return events.reduce((state, event) => {
    const next = applyBenchEvent(state, event, NOW, machine, LIMITS);
    return next.ok ? next.value : state;
  }, AT_THE_DOOR);
}

describe("what its class owes", () => {
  it("law: a class II, class III or battery machine is never asked for an earth test, first or last", () => {
    fc.assert(
      fc.property(
        takenIn,
        fc.constantFrom<ProtectionClass>("class-2", "class-3", "battery"),
        (machine, of) => {
          const view = reduceJob(1, logOf(["taken-in", { ...machine, protectionClass: of }]), {
            ...KNOWLEDGE,
            limits: LIMITS,
          });
          const asked = [
            ...checksFor(KNOWLEDGE.deadChecks, of).map(({ id }) => id),
            ...finalTests(view, KNOWLEDGE).flatMap(({ checkId, alternative }) => [checkId, alternative]),
          ];
          expect(asked).not.toContain("earth-continuity");
        },
      ),
      RUNS,
    );
  });

  it("leakage may stand for insulation at the end, never before the first power", () => {
    for (const of of CLASSES) {
      expect(checksFor(KNOWLEDGE.deadChecks, of).map(({ id }) => id)).not.toContain("leakage");
      const insulation = checksFor(KNOWLEDGE.deadChecks, of).find(({ id }) => id === "insulation");
      if (insulation) expect(alternativeTo(insulation, KNOWLEDGE.deadChecks, of)?.id).toBe("leakage");
    }
  });
});

describe("a battery machine", () => {
  it("law: is never safe while nobody took the battery out, whatever else was done", () => {
    fc.assert(
      fc.property(
        fc
          .record({
            connection: fc.constantFrom(...CONNECTIONS),
            stores: fc.subarray(["start", "run", "bus", "any"] as const),
            hasBattery: fc.constant(true),
          })
          .map(benchMachine),
        fc.array(notTheBattery, { maxLength: 12 }),
        (machine, events) => {
          const state = stateAfter(machine, events);
          expect(gapsFor(state, "plug-out", machine, NOW, LIMITS)).toContain("battery");
          expect(gapsFor(state, "hands-inside", machine, NOW, LIMITS)).toContain("battery");
          expect(benchSummary(state, machine, NOW, LIMITS).level).toBe("live");
        },
      ),
      RUNS,
    );
  });

  it("law: every machine said to have one, by class, connection or at the door, is one", () => {
    fc.assert(
      fc.property(takenIn, (machine) => {
        const view = reduceJob(1, logOf(["taken-in", machine]), { ...KNOWLEDGE, limits: LIMITS });
        const wanted =
          machine.connection === "battery" ||
          machine.connection === "not-known" ||
          machine.protectionClass === "battery" ||
          machine.hazards.includes("battery");
        expect(view.machine.hasBattery).toBe(wanted);
      }),
      RUNS,
    );
  });
});

describe("hazards", () => {
  const idsOf = (change: Partial<TakenIn>) =>
    hazardIds(hazardFacts({ ...CARDER, ...change }, KNOWLEDGE), KNOWLEDGE.hazards);
  it.each<[string, Partial<TakenIn>, string[], string[]]>([
    ["a plain mains motor", {}, ["mains", "stored-charge"], ["battery", "heat"]],
    ["a heater", { heater: "yes" }, ["heat"], []],
    ["a battery tool", { connection: "battery", protectionClass: "battery" }, ["battery"], ["mains"]],
    ["a kind with springs", { machine: "Garage-door opener, old" }, ["springs", "lifted-load"], []],
    ["a sealed compressor", { family: "sealed-compressor" }, ["sealed-circuit"], []],
    [
      "a board on the mains",
      { family: "electronically-commutated" },
      ["electronics-on-mains", "magnets"],
      [],
    ],
    ["gas, said at the door", { hazards: ["gas"] }, ["gas"], []],
  ])("%s", (_, change, among, without) => {
    const ids = idsOf(change);
    expect(ids).toEqual(expect.arrayContaining(among));
    for (const id of without) expect(ids).not.toContain(id);
  });

  it("every one says what is done about it, and every stop names whose work it is", () => {
    for (const { act, caution, stop, trade } of KNOWLEDGE.hazards) {
      expect(act.length + caution.length).toBeGreaterThan(20);
      if (stop) expect(trade).toBeTruthy();
    }
  });

  it("springs, loads and belts must be held, or said not to be there, before hands go in", () => {
    const machine: BenchMachine = benchMachine({
      connection: "plug",
      stores: [],
      hasBattery: false,
      holds: ["springs"],
    });
    const out: BenchEvent = { event: "unplugged", evidence: "plug-in-sight" };
    const gaps = (...events: BenchEvent[]) =>
      gapsFor(stateAfter(machine, events), "hands-inside", machine, NOW, LIMITS);
    expect(gaps(out)).toEqual(["springs"]);
    expect(gaps(out, { event: "held", id: "springs", is: "held" })).toEqual([]);
    expect(gaps(out, { event: "held", id: "springs", is: "none" })).toEqual([]);
    expect(
      gaps(
        out,
        { event: "held", id: "springs", is: "held" },
        { event: "plugged-in", outlet: "not-said" },
        out,
      ),
    ).toEqual(["springs"]);
  });
});
