import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { ActionKind } from "@/core/decision/action";
import { walk } from "@/core/decision/plan";
import { searchIn } from "@/core/decision/search";
import { RUNS } from "../shop-context";
import { smallCase } from "./cases";
import { leastOfEveryOrder } from "./every-order";

const ALL: ReadonlySet<ActionKind> = new Set(["repair", "easier", "donor"]);

describe("the search", () => {
  it("costs what the cheapest of all orders costs, in 500 small cases", () => {
    fc.assert(
      fc.property(smallCase, (given) => {
        const search = searchIn(given);
        const alone = walk(search({ ways: ALL }), given).mean;
        const swapped = walk(search({ ways: ALL, swap: 0 }), given).mean;
        expect(Math.min(alone, swapped)).toBeCloseTo(leastOfEveryOrder(given), 5);
      }),
      { ...RUNS, numRuns: Math.max(500, RUNS.numRuns) },
    );
  });
});
