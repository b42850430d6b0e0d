import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CLUE_VALUES, kindsAfter } from "@/tools/winding/motor-identity/clues";
import { madeMotors } from "../../scripts/lib/made-motors";
import { RUNS } from "../core/shop-context";
import { figureOf, found } from "./run-tool";

const anySeen = fc
  .record(
    Object.fromEntries(
      [...CLUE_VALUES].map(([clue, values]) => [
        clue,
        fc.option(fc.constantFrom(...values), { nil: undefined }),
      ]),
    ),
  )
  .map((seen): Record<string, string | undefined> => seen);

describe("laws of motor identity", () => {
  it("chances sum to one whatever was seen, and a clue that was not looked at changes nothing", () => {
    fc.assert(
      fc.property(anySeen, (seen) => {
        const { kinds } = kindsAfter(seen);
        expect(kinds.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
        expect(kindsAfter({ ...seen, nothing: undefined })).toEqual(kindsAfter(seen));
      }),
      RUNS,
    );
  });

  it("names most made motors, and settles on none that it is not", () => {
    const all = madeMotors(100).map(({ kind, input }) => ({ kind, answer: found("motor-identity", input) }));
    const right = all.filter(({ kind, answer }) => answer.tells?.["motor"] === kind).length;
    const wrong = all.filter(
      ({ kind, answer }) => answer.verdict === "sound" && answer.tells?.["motor"] !== kind,
    ).length;
    expect(right).toBeGreaterThanOrEqual(92);
    expect(wrong).toBeLessThanOrEqual(1);
  });

  it("poles times synchronous speed is 120 f, and slip lies between none and what a fan has", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(50, 60),
        fc.constantFrom(2, 4, 6, 8),
        fc.double({ min: 0.012, max: 0.15, noNaN: true }),
        (hertz, poles, slip) => {
          const speed = Math.round(((120 * hertz) / poles) * (1 - slip));
          const answer = found("motor-identity", {
            plate: `230 V ${hertz} Hz ${speed} r/min`,
            mains: String(hertz),
            brushes: "none",
          });
          if (figureOf(answer, "poles") !== poles)
            expect((120 * hertz) / figureOf(answer, "poles")).toBeGreaterThan(speed);
          else expect(figureOf(answer, "slip")).toBeCloseTo(1 - (speed * poles) / (120 * hertz), 6);
        },
      ),
      RUNS,
    );
  });
});
