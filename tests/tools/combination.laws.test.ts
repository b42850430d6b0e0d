import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { join, type Part } from "@/tools/capacitor/combination/tool";
import { RUNS } from "../core/shop-context";

const part: fc.Arbitrary<Part> = fc
  .record({
    nominal: fc.double({ min: 1e-7, max: 4e-4, noNaN: true }),
    share: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
    volts: fc.integer({ min: 100, max: 600 }),
  })
  .map(({ nominal, share, volts }) => ({
    min: nominal * (1 - share),
    nominal,
    max: nominal * (1 + share),
    volts,
  }));
const parts = fc.array(part, { minLength: 2, maxLength: 3 });

describe("laws of capacitors together", () => {
  it("one after the other is side by side turned upside down", () => {
    fc.assert(
      fc.property(parts, (all) => {
        const upside = all.map(({ min, nominal, max, volts }) => ({
          min: 1 / max,
          nominal: 1 / nominal,
          max: 1 / min,
          volts,
        }));
        const [series, parallel] = [join(all, "series"), join(upside, "parallel")];
        expect(series.nominal * parallel.nominal).toBeCloseTo(1, 9);
        expect(series.min * parallel.max).toBeCloseTo(1, 9);
      }),
      RUNS,
    );
  });

  it("each stays within its mark at the volts that are said, wherever it lies in its tolerance", () => {
    fc.assert(
      fc.property(
        parts,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (all, places) => {
          const { volts: whole } = join(all, "series");
          const values = all.map(({ min, max }, index) => min + (max - min) * (places[index] ?? 0));
          const total = values.reduce((sum, one) => sum + 1 / one, 0);
          all.forEach(({ volts }, index) => {
            const own = ((whole ?? 0) * (1 / (values[index] ?? 1))) / total;
            expect(own).toBeLessThanOrEqual((volts ?? 0) * (1 + 1e-9));
          });
        },
      ),
      RUNS,
    );
  });

  it("side by side is never less than the largest, one after the other never more than the smallest", () => {
    fc.assert(
      fc.property(parts, (all) => {
        const nominal = all.map((one) => one.nominal);
        expect(join(all, "parallel").nominal).toBeGreaterThan(Math.max(...nominal));
        expect(join(all, "series").nominal).toBeLessThan(Math.min(...nominal));
      }),
      RUNS,
    );
  });
});
