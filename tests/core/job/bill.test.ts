import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { billOf, signedBill, withMarkup } from "@/core/job/sign-off/bill";
import { RUNS } from "../shop-context";
import { CARDER, logOf, viewOf } from "./entries";

const job = (door: Partial<typeof CARDER> = {}) =>
  viewOf(logOf(["taken-in", { ...CARDER, ceilingMinor: null, ...door }]));
const CHARGED = { labourMinor: 1400, partsMinor: 1200, discountMinor: 0, taxPercent: 0, isFree: false };

describe("the bill", () => {
  it.each([
    ["work and parts", {}, {}, 2600],
    ["a fee set off is the least", { feeMinor: 3000 }, {}, 3000],
    ["a fee beside the repair", { feeMinor: 3000, feeCounts: false }, {}, 5600],
    ["a discount before tax", {}, { discountMinor: 600, taxPercent: 20 }, 2400],
    ["a discount takes no more off than there is", {}, { discountMinor: 9000 }, 0],
    ["no charge is none, tax included", { feeMinor: 3000 }, { isFree: true, taxPercent: 25 }, 0],
    ["an unrepaired machine costs the finding", { feeMinor: 1500 }, { labourMinor: 0, partsMinor: 0 }, 1500],
  ])("%s", (_, door, charged, total) => {
    expect(billOf(job(door), { ...CHARGED, ...charged }).total).toBe(total);
  });

  it("is read back as it was charged, whatever the shop's tax is since", () => {
    const charged = { ...CHARGED, discountMinor: 600, taxPercent: 20 };
    const bill = billOf(job({ depositMinor: 1000 }), charged);
    expect(signedBill(job({ depositMinor: 1000 }), { ...charged, taxMinor: bill.tax })).toEqual(bill);
    expect(bill.due).toBe(1400);
  });

  it("law: more discount never costs more, a mark-up never less, and nothing is below zero", () => {
    const minor = fc.integer({ min: 0, max: 1_000_000 });
    fc.assert(
      fc.property(
        minor,
        minor,
        minor,
        minor,
        fc.integer({ min: 0, max: 100 }),
        (labour, parts, less, more, tax) => {
          const of = (discountMinor: number) =>
            billOf(job(), {
              labourMinor: labour,
              partsMinor: parts,
              discountMinor,
              taxPercent: tax,
              isFree: false,
            }).total;
          expect(of(less + more)).toBeLessThanOrEqual(of(less));
          expect(of(less + more)).toBeGreaterThanOrEqual(0);
          expect(withMarkup(parts, tax)).toBeGreaterThanOrEqual(parts);
        },
      ),
      RUNS,
    );
  });
});
