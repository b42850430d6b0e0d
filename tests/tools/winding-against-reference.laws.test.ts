import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { kelvin, ohms } from "@/core/quantity/units";
import { resistanceAt, windingTemperature } from "@/core/windings/temperature";
import { RUNS } from "../core/shop-context";
import { found, rankOf, refusedWith } from "./run-tool";

const BASE = {
  against: "twin",
  reference: "47.1",
  readAt: "20 °C",
  referenceAt: "20 °C",
  warm: "cold",
  kind: "shaded-pole",
  metal: "copper",
  meter: { percent: 0.8, counts: 2, resolution: "0.1" },
};
const judge = (reading: string, extra: object = {}) =>
  found("winding-against-reference", { ...BASE, reading, ...extra });
const warmth = fc.double({ min: 220, max: 420, noNaN: true });
const metal = fc.constantFrom("copper" as const, "aluminium" as const);

describe("laws of a winding against its reference", () => {
  it("ohms taken to another temperature and back are the same, and give that temperature back", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20_000, noNaN: true }),
        warmth,
        warmth,
        metal,
        (read, from, to, of) => {
          const there = resistanceAt(ohms(read), kelvin(from), kelvin(to), of);
          expect(resistanceAt(there, kelvin(to), kelvin(from), of) / read).toBeCloseTo(1, 12);
          expect(windingTemperature(ohms(read), kelvin(from), there, of)).toBeCloseTo(to, 8);
        },
      ),
      RUNS,
    );
  });

  it("fewer ohms never improve a verdict that is low, more never one that is high", () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 470 }), fc.integer({ min: 1, max: 200 }), (tenths, step) => {
        const [lower, higher] = [judge((tenths / 10).toFixed(1)), judge(((tenths + step) / 10).toFixed(1))];
        if (tenths + step <= 471) expect(rankOf(lower)).toBeLessThanOrEqual(rankOf(higher));
        else if (tenths >= 471) expect(rankOf(higher)).toBeLessThanOrEqual(rankOf(lower));
      }),
      RUNS,
    );
  });

  it("the unit typed changes nothing", () => {
    for (const [plain, other] of [
      ["4710", "4.71k"],
      ["380", "0.380k"],
      ["43000", "0.043M"],
    ] as const) {
      const [one, two] = [judge(plain, { reference: "47100" }), judge(other, { reference: "47.1k" })];
      expect([two.verdict, two.evidence, two.reasons]).toEqual([one.verdict, one.evidence, one.reasons]);
    }
  });

  it("refuses what cannot be, and names it", () => {
    expect(judge("38,0").verdict).toBe("faulty");
    expect(refusedWith("winding-against-reference", { ...BASE, reading: "12.4 μF" })).toMatch(
      /12.4 μF.*no unit of resistance/,
    );
    expect(refusedWith("winding-against-reference", { ...BASE, reading: "40", readAt: "-160 °C" })).toMatch(
      /-160 °C/,
    );
    expect(judge("40", { readAt: "-60 °C" }).verdict).toBe("suspect");
  });
});
