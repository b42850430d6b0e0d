import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { amps, hertz, volts } from "@/core/quantity/units";
import { underLoad } from "@/tools/capacitor/capacitor-under-load/tool";
import { RUNS } from "../core/shop-context";
import { found, rankOf, refusedWith } from "./run-tool";

const BASE = {
  mark: "8 μF ±5 % 450 VAC",
  volts: "360",
  frequency: "50",
  clamp: { percent: 1, counts: 1, resolution: "0.01" },
  meter: { percent: 0.8, counts: 3, resolution: "0.1" },
};
const judge = (current: string) => found("capacitor-under-load", { ...BASE, amps: current });

describe("laws of a capacitor under load", () => {
  it("takes no current below zero for none, and no meter without a last digit", () => {
    expect(judge("-0.9")).toMatchObject({ verdict: "undecided", reasons: [{ code: "load/not-read" }] });
    const clamp = { ...BASE.clamp, resolution: "-0.01" };
    expect(refusedWith("capacitor-under-load", { ...BASE, amps: "0.9", clamp })).toMatch(/"-0.01" is none/);
  });

  it("gives back the capacitance that drew the current", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 1e-4, noNaN: true }),
        fc.double({ min: 50, max: 450, noNaN: true }),
        fc.constantFrom(50, 60),
        (farads, across, frequency) => {
          const current = 2 * Math.PI * frequency * farads * across;
          expect(underLoad(amps(current), volts(across), hertz(frequency)) / farads).toBeCloseTo(1, 9);
        },
      ),
      RUNS,
    );
  });

  it("less current never improves a verdict that is low, and milliamps say the same as amps", () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 90 }), fc.integer({ min: 1, max: 40 }), (hundredths, less) => {
        const [high, low] = [
          judge((hundredths / 100).toFixed(2)),
          judge((Math.max(0, hundredths - less) / 100).toFixed(2)),
        ];
        expect(rankOf(low)).toBeLessThanOrEqual(rankOf(high));
        const [one, other] = [judge((hundredths / 100).toFixed(2)), judge(`${hundredths * 10} mA`)];
        expect(other.verdict).toBe(one.verdict);
      }),
      RUNS,
    );
  });
});
