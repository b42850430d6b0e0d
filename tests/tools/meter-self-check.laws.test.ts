import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { RUNS } from "../core/shop-context";
import { found, rankOf } from "./run-tool";

const BASE = {
  open: "OL",
  marked: "1k",
  resistor: "1.003k",
  battery: "1.58",
  tolerance: "0.01",
  meter: { percent: 0.8, counts: 2, resolution: "1" },
};

describe("laws of the meter's own check", () => {
  it("more ohms in the leads never make it better", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 40 }), (tenths, more) => {
        const [low, high] = [tenths, tenths + more].map((one) =>
          found("meter-self-check", { ...BASE, short: (one / 10).toFixed(1) }),
        );
        if (low && high) expect(rankOf(high)).toBeLessThanOrEqual(rankOf(low));
      }),
      RUNS,
    );
  });
});
