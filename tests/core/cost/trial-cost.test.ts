import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { leastWorthTrying, type Trial, trialCost, trialCostOf, trialPlan } from "@/core/cost/trial-cost";
import { RUNS } from "../shop-context";

const anyTrials = fc
  .array(
    fc.record({
      cost: fc.integer({ min: 10, max: 9000 }),
      weight: fc.double({ min: 0.01, max: 1, noNaN: true }),
    }),
    {
      maxLength: 5,
    },
  )
  .map((rows) => {
    const sum = rows.reduce((acc, { weight }) => acc + weight, 0.05);
    return rows.map(({ cost, weight }): Trial => ({ cost, cures: weight / sum }));
  });
const anyPrice = fc.integer({ min: 10, max: 50_000 });

/** Every choice of trials in every order, priced one by one. */
function cheapest(trials: readonly Trial[], giveUp: number, wrong = 1): number {
  const goOn = trials.map((trial, index) => {
    const others = trials.filter((_, other) => other !== index);
    return wrong * trial.cost + cheapest(others, giveUp, wrong - trial.cures);
  });
  return Math.min(wrong * giveUp, ...goOn);
}

describe("trying repairs until one cures", () => {
  it("no other order or choice costs less", () => {
    fc.assert(
      fc.property(anyTrials, anyPrice, (trials, giveUp) => {
        const least = cheapest(trials, giveUp);
        expect(trialCost(trials, giveUp)).toBeCloseTo(least, 6);
        const [cost, cures] = [trials.map((one) => one.cost), trials.map((one) => one.cures)];
        const count = trials.length;
        expect(
          trialCostOf(
            Float64Array.from(cost),
            Float64Array.from(cures),
            new Float64Array(count),
            new Int32Array(count),
            count,
            giveUp,
          ),
        ).toBeCloseTo(least, 6);
      }),
      RUNS,
    );
  });

  it("is worth it only above the least price of giving up", () => {
    fc.assert(
      fc.property(anyTrials, (trials) => {
        const least = leastWorthTrying(trials);
        fc.pre(trials.length > 0);
        expect(trialPlan(trials, least * 0.999).made).toEqual([]);
        expect(trialPlan(trials, least * 1.001).made.length).toBeGreaterThan(0);
      }),
      RUNS,
    );
  });

  it("a single try against giving up: c + (1 - p) F, and not at all when c reaches p F", () => {
    expect(trialCost([{ cost: 1000, cures: 0.6 }], 5000)).toBeCloseTo(1000 + 0.4 * 5000, 9);
    expect(trialCost([{ cost: 3001, cures: 0.6 }], 5000)).toBe(5000);
    expect(leastWorthTrying([])).toBe(Number.POSITIVE_INFINITY);
    expect(leastWorthTrying([{ cost: 1000, cures: 0.6 }])).toBeCloseTo(1000 / 0.6, 9);
  });
});
