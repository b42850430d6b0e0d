import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { trialCost } from "@/core/cost/trial-cost";
import { decide, needsProof, refusedRepairs } from "@/core/decision/decide";
import { decisionCase } from "@/core/decision/decision-case";
import type { DecisionCase, DecisionTrial } from "@/core/decision/routes";
import { isolated, type Said } from "../isolation/model";
import { KNOWLEDGE, PARAMETERS, RUNS } from "../shop-context";

const RATE = 2800;

const trial = (cost: number, cures: number, name: string): DecisionTrial => ({
  repairs: [name],
  cost,
  cures,
  minutes: 0,
  partMinor: cost,
});

const kaseOf = (trials: readonly DecisionTrial[], machineMinor: number): DecisionCase => ({
  trials,
  machineMinor,
  minuteMinor: RATE / 60,
  motor: { minutes: 60, partMinor: 9000, success: 0.98 },
  inMotor: new Set(["r0", "r1"]),
  repairOf: (id) => ({ minutes: 0, partMinor: trials.find(({ repairs }) => repairs[0] === id)?.cost ?? 0 }),
});

/** Made-up trials whose chances sum to at most one. */
const anyTrials = fc
  .array(
    fc.record({
      cost: fc.integer({ min: 50, max: 15_000 }),
      weight: fc.double({ min: 0.01, max: 1, noNaN: true }),
    }),
    {
      minLength: 1,
      maxLength: 5,
    },
  )
  .map((rows) => {
    const sum = rows.reduce((acc, { weight }) => acc + weight, 0);
    return rows.map(({ cost, weight }, index) => trial(cost, (0.97 * weight) / sum, `r${index}`));
  });
const anyPrice = fc.integer({ min: 500, max: 60_000 });

function decided(said: readonly Said[], prices: Record<string, number> = { machine: 24_000 }) {
  const found = isolated(said, {
    machine: { family: "capacitor-start", value: { minor: prices["machine"] ?? 0, currency: "EUR" } },
  } as never);
  const kase = decisionCase(found.trials, prices, { family: "capacitor-start" }, KNOWLEDGE, PARAMETERS);
  return { found, decision: decide(kase, found.suspects[0], KNOWLEDGE.faults) };
}

const HUMS: readonly Said[] = [
  ["owner-report", "hums-still"],
  ["push-start", "runs"],
  ["turn-shaft", "free"],
];

describe("the three routes", () => {
  it("trying repairs costs on Decide what Isolate says, and each mean is that of its own endings", () => {
    fc.assert(
      fc.property(anyTrials, anyPrice, (trials, price) => {
        const { routes } = decide(kaseOf(trials, price), undefined, []);
        expect(routes.part.mean).toBeCloseTo(trialCost(trials, price), 6);
        expect(routes.replace.mean).toBe(price);
        for (const { mean, low, high, cash, givesUp, wrong } of Object.values(routes)) {
          expect(low).toBeLessThanOrEqual(high);
          expect(cash).toBeLessThanOrEqual(mean + 1e-6);
          expect(givesUp).toBeGreaterThanOrEqual(0);
          expect(wrong).toBeGreaterThanOrEqual(0);
        }
      }),
      RUNS,
    );
  });

  it("never costs more than buying another machine at once, and rises with its price", () => {
    fc.assert(
      fc.property(anyTrials, anyPrice, fc.integer({ min: 0, max: 20_000 }), (trials, price, more) => {
        const at = (machine: number) => decide(kaseOf(trials, machine), undefined, []).routes.part.mean;
        expect(at(price)).toBeLessThanOrEqual(price + 1e-6);
        expect(at(price + more)).toBeGreaterThanOrEqual(at(price) - 1e-6);
      }),
      RUNS,
    );
  });

  it("the price of another machine at which the answer flips is that of a single try: cost over chance", () => {
    const { machineFlip } = decide(kaseOf([trial(1800, 0.6, "r0")], 20_000), undefined, []);
    expect(machineFlip).toBeCloseTo(1800 / 0.6, 9);
    fc.assert(
      fc.property(anyTrials, (trials) => {
        const flip = decide(kaseOf(trials, 10_000), undefined, []).machineFlip ?? 0;
        const stepsAt = (price: number) =>
          decide(kaseOf(trials, price), undefined, []).routes.part.steps.length;
        expect(stepsAt(flip * 0.999)).toBe(0);
        expect(stepsAt(flip * 1.001)).toBeGreaterThan(0);
      }),
      RUNS,
    );
  });

  it("at the price of the first repair at which the answer flips, both routes cost the same", () => {
    // One try against another machine: c* = p F.
    const single = decide(
      { ...kaseOf([trial(1000, 0.5, "other")], 8000), inMotor: new Set() },
      undefined,
      [],
    );
    expect(single.firstRepairFlip).toBeCloseTo(0.5 * 8000, 3);
    fc.assert(
      fc.property(anyTrials, anyPrice, (trials, price) => {
        const kase = kaseOf(trials, price);
        const { firstRepairFlip: flip, routes, best } = decide(kase, undefined, []);
        if (flip === null) return;
        const [first] = routes.part.steps;
        const changed = trials.map((one) => (one === first ? { ...one, cost: flip } : one));
        expect(best.id).toBe("part");
        const after = decide({ ...kase, trials: changed }, undefined, []);
        const others = Math.min(routes.motor.mean, routes.replace.mean);
        expect(Math.abs(after.routes.part.mean - others)).toBeLessThan(1e-3 * others + 0.01);
      }),
      RUNS,
    );
  });

  it("another motor cures what is in the motor and leaves the rest to be tried", () => {
    const trials = [trial(1000, 0.4, "r0"), trial(300, 0.3, "r4")];
    const { motor } = decide(kaseOf(trials, 30_000), undefined, []).routes;
    expect(motor.steps.map(({ repairs }) => repairs[0])).toEqual(["fit-motor", "r4"]);
    const price = 9000 + RATE;
    const left = 1 - 0.4 * 0.98;
    expect(motor.mean).toBeCloseTo(price + left * 300 + (left - 0.3) * 30_000, 6);
  });
});

describe("on the shop's own knowledge", () => {
  it("a capacitor proved weak is fitted first, at its own price; one chosen in Match sets that price", () => {
    const { decision } = decided([...HUMS, ["start-capacitance", "below"]]);
    expect(decision.best.id).toBe("part");
    expect(decision.best.steps[0]?.repairs).toEqual(["fit-start-capacitor"]);
    expect(decision.best.wrong).toBeLessThan(0.15);
  });

  it("a start winding proved open leads to another motor, and to another machine where that is cheap", () => {
    const said: readonly Said[] = [...HUMS, ["start-capacitance", "inside"], ["pair-ohms", "start-open"]];
    expect(decided(said, { machine: 60_000 }).decision.best.steps[0]?.repairs).toEqual(["fit-motor"]);
    expect(decided(said, { machine: 9000 }).decision.best.id).toBe("replace");
  });

  it("fuse open with a locked shaft: the fuse is refused as a route, since it only changes the consequence", () => {
    const { decision, found } = decided([
      ["owner-report", "nothing"],
      ["fuse-ohms", "open"],
      ["turn-shaft", "locked"],
    ]);
    expect(decision.refused).toContainEqual({
      repair: "fit-fuse",
      fault: "fuse-open",
      root: "bearing-seized",
    });
    expect(decision.best.steps.flatMap(({ repairs }) => repairs)).not.toContain("fit-fuse");
    // The fuse is paid for with the cure.
    const bearings = found.trials.find(({ repairs }) => repairs.join() === "fit-bearings");
    const alone = KNOWLEDGE.repairs.find(({ id }) => id === "fit-bearings");
    expect(bearings?.partMinor).toBeGreaterThan((alone?.partMinor ?? 0) + 100);
  });

  it("a fuse that is the likely root itself is not refused", () => {
    const trials = [trial(300, 0.6, "fit-fuse")];
    const leading = { roots: ["bearing-seized"], consequences: ["fuse-open"] };
    expect(refusedRepairs(leading, trials, KNOWLEDGE.faults)).toEqual([]);
  });

  it("a motor, another machine, or a dear part waits for a proof; a cheap part does not", () => {
    expect(needsProof("motor", undefined, 20_000, 0.25)).toBe(true);
    expect(needsProof("replace", undefined, 20_000, 0.25)).toBe(true);
    expect(needsProof("part", { partMinor: 6000 }, 20_000, 0.25)).toBe(true);
    expect(needsProof("part", { partMinor: 1400 }, 20_000, 0.25)).toBe(false);
  });
});
