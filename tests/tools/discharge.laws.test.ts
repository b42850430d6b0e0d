import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { COMMON_WATTS } from "@/core/markings/resistor-series";
import { farads, ohms, volts } from "@/core/quantity/units";
import { drainTime, wattsNeeded } from "@/core/safety/discharge";
import { advise } from "@/tools/capacitor/discharge/tool";
import { LIMITS, RUNS } from "../core/shop-context";
import { figureOf, found, rankOf, refusedWith } from "./run-tool";

const BASE = { supply: "230", school: "resistor-then-short" };
const plan = (micro: number, extra: object = {}) =>
  found("discharge", { ...BASE, mark: `${micro} μF ±5 % 450 VAC`, ...extra });

describe("laws of draining", () => {
  it("more microfarads hold more energy and take no less time", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 60 }), (one, more) => {
        const resistor = { resistor: "22k", rated: "25", bears: "1000" };
        const [small, large] = [plan(one, resistor), plan(one + more, resistor)];
        expect(figureOf(large, "energy")).toBeGreaterThan(figureOf(small, "energy"));
        expect(figureOf(large, "time")).toBeGreaterThan(figureOf(small, "time"));
      }),
      RUNS,
    );
  });

  it("the resistor that is named bears its heat and drains it in the time that is said", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-7, max: 4e-4, noNaN: true }),
        fc.integer({ min: 50, max: 840 }),
        (capacitance, from) => {
          const part = { capacitance: farads(capacitance), startVolts: volts(from), safeVolts: volts(5) };
          const advice = advise(part, LIMITS);
          if (!advice) return;
          expect(advice.watts).toBeGreaterThanOrEqual(
            wattsNeeded(ohms(advice.ohms), part.capacitance, part.startVolts, 5),
          );
          expect(COMMON_WATTS).toContain(advice.watts);
          expect(advice.seconds).toBeCloseTo(
            drainTime(ohms(advice.ohms), part.capacitance, part.startVolts, part.safeVolts),
            9,
          );
        },
      ),
      RUNS,
    );
  });

  it("only volts read twice under the limit are sound, and more volts never improve it", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        (now, later) => {
          const answer = plan(12, { now: now.toFixed(2), later: later.toFixed(2) });
          expect(answer.verdict === "sound").toBe([now, later].every((one) => Number(one.toFixed(2)) < 5));
          const once = plan(12, { now: now.toFixed(2) });
          expect(once.verdict).not.toBe("sound");
          expect(rankOf(plan(12, { now: (now + 10).toFixed(2) }))).toBeLessThanOrEqual(rankOf(once));
        },
      ),
      RUNS,
    );
  });

  it("shows no time and no resistor for a part that is passed on, whatever else is said", () => {
    const passed = found("discharge", {
      ...BASE,
      mark: "1 μF ±5 % 2100 VAC",
      resistor: "10M",
      rated: "50",
      bears: "5000",
      now: "0.1",
      later: "0.1",
    });
    expect(passed.verdict).toBe("suspect");
    expect(passed.figures).toEqual([]);
    expect(passed.cautions).toEqual([]);
    // On three-phase volts a run capacitor is lifted above the limit: its mark alone says less than it stands at.
    const lifted = found("discharge", { ...BASE, supply: "400", mark: "12 μF ±5 % 450 VAC" });
    expect(lifted.reasons.map(({ code }) => code)).toEqual(["drain/refer-lifted"]);
    expect(lifted.figures).toEqual([]);
    expect(refusedWith("discharge", { ...BASE, mark: "0 μF 450 VAC" })).not.toBe("");
    expect(refusedWith("discharge", { ...BASE, mark: "12 μF 0 VAC" })).toMatch(/"0 VAC" is none/);
    for (const supply of ["0", "-230"])
      expect(plan(12, { supply }).reasons[0]?.code, supply).toBe("drain/no-supply");
    expect(refusedWith("discharge", { ...BASE, supply: "1,200", mark: "12 μF 450 VAC" })).toMatch(
      /1200 or 1.2/,
    );
    for (const supply of ["0", "OL", "not taken"]) {
      const nothing = found("discharge", { mark: "12 μF", supply, school: "resistor-then-short" });
      expect(nothing.reasons.map(({ code }) => code)).toEqual(["drain/no-supply"]);
      expect(nothing.figures).toEqual([]);
    }
  });
});
