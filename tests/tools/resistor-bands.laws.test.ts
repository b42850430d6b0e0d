import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  COLOURS,
  type Colour,
  LEGIBLE,
  markedBy,
  possibleValues,
  preferredNumbers,
} from "@/core/markings/resistor-bands";
import type { Finding } from "@/core/tools/finding.input";
import { tool } from "@/tools/resistor/resistor-bands/tool";
import { RUNS, TOOL_CONTEXT } from "../core/shop-context";

const bandsOf = (colours: readonly Colour[]) =>
  fc.array(fc.constantFrom(...colours), { minLength: 3, maxLength: 6 });

function judge(bands: readonly Colour[], measured?: string): Finding {
  const meter = { percent: 1e-6, counts: 0, resolution: "1" };
  const finding = tool.run({ bands, ...(measured === undefined ? {} : { measured, meter }) }, TOOL_CONTEXT);
  if (!finding.ok) throw new Error(finding.issues[0]?.message);
  return finding.value;
}

describe("laws of the colour bands", () => {
  it("every value that is sold in 5 % is read back from its own bands", () => {
    const DIGITS = LEGIBLE.slice(0, 10);
    for (const number of preferredNumbers(0.05))
      for (let power = 0; power <= 6; power += 1) {
        const [first = "black", second = "black"] = [...String(number / 10)].map(
          (digit) => DIGITS[Number(digit)],
        );
        const read = markedBy([first, second, DIGITS[power] ?? "black", "gold"]);
        expect(read).toMatchObject({ tolerance: 0.05, isPreferred: true });
        expect((read?.ohms ?? 0) / ((number / 10) * 10 ** power)).toBeCloseTo(1, 12);
      }
  });

  it("series have as many numbers a decade as their name says", () => {
    expect([0.2, 0.1, 0.05].map((tolerance) => preferredNumbers(tolerance).size)).toEqual([6, 12, 24]);
    // A finer resistor may also be sold in the values of the coarse series.
    expect(preferredNumbers(0.01).has(976) && preferredNumbers(0.005).has(920)).toBe(true);
    expect(preferredNumbers(0.005).has(919)).toBe(false);
  });

  it("never throws, and gives a verdict, whatever is tapped", () => {
    fc.assert(
      fc.property(bandsOf(COLOURS), fc.option(fc.integer({ min: 1, max: 9_000_000 })), (bands, ohms) => {
        const finding = judge(bands, ohms === null ? undefined : `${ohms}`);
        expect(["sound", "suspect", "faulty", "undecided"]).toContain(finding.verdict);
      }),
      RUNS,
    );
  });

  it("a burnt band leaves the true value among those it lists", () => {
    fc.assert(
      fc.property(bandsOf(LEGIBLE), fc.nat(), (bands, which) => {
        const told = bands as readonly (typeof LEGIBLE)[number][];
        const whole = markedBy(told);
        fc.pre(whole?.isPreferred === true);
        const burnt = bands.map((colour, index) => (index === which % bands.length ? "burnt" : colour));
        expect(possibleValues(burnt).map(({ ohms }) => ohms)).toContain(whole?.ohms);
      }),
      RUNS,
    );
  });

  it("only too high or open is proof that it is bad: a path beside it can lower what is read", () => {
    fc.assert(
      fc.property(bandsOf(LEGIBLE), fc.double({ min: 0.01, max: 3, noNaN: true }), (bands, share) => {
        const marked = judge(bands).figures.find(({ id }) => id === "marked");
        fc.pre(marked !== undefined && marked.value < 1e9);
        const value = (marked?.value ?? 1) * share;
        const { verdict } = judge(bands, value.toPrecision(9));
        if (verdict === "faulty") expect(value).toBeGreaterThan(marked?.upper ?? 0);
        if (value < (marked?.lower ?? 0) * 0.999) expect(verdict).toBe("suspect");
      }),
      RUNS,
    );
  });
});
