import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pairsFor } from "@/core/matching/combine";
import { chosenSchools } from "@/core/matching/family";
import { listed } from "@/core/matching/price-list";
import { loadFamily } from "@/parts/registry";
import { LIMITS, RUNS } from "../shop-context";

const family = await loadFamily("run-capacitor");
if (!family) throw new Error("no run capacitors");
const run = family;
const PARTS = listed(run, run.series(), "list");
const context = { limits: LIMITS, schools: chosenSchools(run, {}) };
const need = (micro: number, change: object = {}) => ({
  kind: "run",
  capacitance: Number((micro * 1e-6).toPrecision(12)),
  volts: 400,
  ...change,
});

describe("two run capacitors side by side", () => {
  it("come to a value that no single one has", () => {
    const [first] = pairsFor(run, need(13), PARTS, context);
    expect(first?.fit).toBe("fit");
    expect(first?.total).toBeCloseTo(13e-6, 12);
  });

  it("each bear the volts and the class, together lie within what a school lets stand for good, and cost their sum", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 90, noNaN: true }),
        fc.constantFrom(250, 400, 450),
        (micro, volts) => {
          const wanted = need(micro, { volts, life: "B" });
          for (const { parts, total, priceMinor, days, fit } of pairsFor(run, wanted, PARTS, context)) {
            for (const { attributes } of parts) {
              expect(Number(attributes["volts"])).toBeGreaterThanOrEqual(volts);
              expect(["A", "B"]).toContain(attributes["life"]);
            }
            expect(Math.abs(total / wanted.capacitance - 1)).toBeLessThanOrEqual(0.06 + 1e-9);
            expect(priceMinor).toBe(parts[0].priceMinor + parts[1].priceMinor);
            expect(days).toBe(Math.max(parts[0].days, parts[1].days));
            expect(["fit", "note"]).toContain(fit);
          }
        },
      ),
      { numRuns: Math.min(RUNS.numRuns, 40) },
    );
  });

  it("are none where values do not add up, or the value is not known", async () => {
    const fuse = await loadFamily("fuse");
    if (!fuse) throw new Error("no fuses");
    expect(pairsFor(fuse, { amps: 2 }, listed(fuse, fuse.series(), ""), context)).toEqual([]);
    expect(pairsFor(run, { ...need(8), capacitance: undefined }, PARTS, context)).toEqual([]);
  });
});
