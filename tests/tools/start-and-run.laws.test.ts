import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { startBeside } from "@/tools/winding/start-and-run/tool";
import { RUNS } from "../core/shop-context";
import { figureOf, found } from "./run-tool";

const winding = fc.double({ min: 0.5, max: 500, noNaN: true });

describe("laws of start and run by the switch", () => {
  it("what lies side by side is taken apart again", () => {
    fc.assert(
      fc.property(winding, winding, (start, run) => {
        const parallel = 1 / (1 / start + 1 / run);
        expect(startBeside(parallel, run) / start).toBeCloseTo(1, 6);
      }),
      RUNS,
    );
  });

  it("the true start winding lies within the limits that the meter leaves", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (start, run, offRest, offHeld) => {
          const meter = { percent: 0.5, counts: 1, resolution: "0.001" };
          const off = (value: number, share: number) => value * (1 + 0.005 * share * 0.98);
          const answer = found("start-and-run", {
            branch: "none",
            rest: off(1 / (1 / start + 1 / run), offRest).toFixed(3),
            held: off(run, offHeld).toFixed(3),
            meter,
          });
          if (answer.reasons[0]?.code !== "apart/start-and-run") return;
          const figure = answer.figures.find(({ id }) => id === "start");
          expect(figure?.lower).toBeLessThanOrEqual(start * 1.001);
          expect(figure?.upper).toBeGreaterThanOrEqual(start * 0.999);
          expect(figureOf(answer, "run")).toBeCloseTo(run, 0);
        },
      ),
      RUNS,
    );
  });
});
