import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { commonOhms } from "@/core/markings/resistor-series";
import { RUNS } from "../core/shop-context";
import { figureOf, found } from "./run-tool";

describe("laws of the bleed resistor", () => {
  it("drains in the time that is wanted, and the next common value would not", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 110, max: 600 }),
        fc.integer({ min: 5, max: 300 }),
        (micro, marked, within) => {
          const answer = found("bleed-resistor", {
            mark: `${micro} μF ±5 % ${marked} VAC`,
            within: String(within),
          });
          const ohms = figureOf(answer, "ohms");
          if (Number.isNaN(ohms)) return;
          const constant = micro * 1.05e-6 * Math.log((Math.SQRT2 * marked) / 5);
          expect(constant * ohms).toBeLessThanOrEqual(within * (1 + 1e-9));
          const next = commonOhms(ohms * 1.01, 1e6)[0];
          if (next !== undefined) expect(constant * next).toBeGreaterThan(within);
          expect(figureOf(answer, "watts")).toBeGreaterThanOrEqual((2 * marked * marked) / ohms - 1e-9);
        },
      ),
      RUNS,
    );
  });
});
