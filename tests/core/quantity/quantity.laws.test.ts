import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { denoise } from "@/core/quantity/decimal";
import {
  formatChance,
  formatDuration,
  formatMoney,
  formatQuantity,
  minorDigits,
} from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import { parseReading } from "@/core/quantity/parse-reading";
import { QUANTITIES, type QuantityId } from "@/core/quantity/reading";
import { intervalOf, limitOfError } from "@/core/quantity/uncertainty";
import { RUNS } from "../shop-context";

const quantity = fc.constantFrom<QuantityId>("capacitance", "resistance", "insulation", "voltage", "current");

describe("laws of typing and printing a value", () => {
  it("what format prints, parse reads back to four digits", () => {
    fc.assert(
      fc.property(
        quantity,
        fc.integer({ min: 1000, max: 9999 }),
        fc.integer({ min: -9, max: 2 }),
        (id, digits, exponent) => {
          const { unit, max } = QUANTITIES[id];
          const value = denoise(digits * 10 ** exponent);
          fc.pre(value < max && (unit !== "F" || value < 1));
          const printed = formatQuantity(value, unit, 4);
          const parsed = parseReading(`${printed.number} ${printed.unit}`, id);
          const reading = parsed.ok ? parsed.value.reading : undefined;
          expect(reading?.kind).toBe("value");
          if (reading?.kind === "value")
            expect(Math.abs(reading.value / value - 1)).toBeLessThan(
              unit === "V" && value < 0.001 ? 1 : 6e-4,
            );
        },
      ),
      RUNS,
    );
  });

  it("never throws and never lets a number through that is not finite", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), quantity, (text, id) => {
        const parsed = parseReading(text, id);
        if (parsed.ok && parsed.value.reading.kind === "value")
          expect(Number.isFinite(parsed.value.reading.value)).toBe(true);
        if (!parsed.ok) expect(parsed.issues[0]?.message.length).toBeGreaterThan(10);
      }),
      RUNS,
    );
  });

  it("a worse meter never gives a narrower interval, and the reading lies in it", () => {
    const share = fc.double({ min: 0, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(
        share,
        share,
        fc.double({ min: 0, max: 1e-3, noNaN: true }),
        fc.integer({ min: 0, max: 50 }),
        (one, more, value, counts) => {
          const fine = limitOfError({ share: one, counts, resolution: 1e-7 }, value);
          const coarse = limitOfError({ share: one + more, counts: counts + 1, resolution: 1e-7 }, value);
          expect(coarse).toBeGreaterThan(fine);
          const { lower, upper } = intervalOf(value, fine);
          expect(lower).toBeLessThanOrEqual(value);
          expect(upper).toBeGreaterThanOrEqual(value);
          expect(lower).toBeGreaterThanOrEqual(0);
        },
      ),
      RUNS,
    );
  });

  it("money typed and printed keeps every minor unit, in any currency", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 999_999_99 }),
        fc.constantFrom("EUR", "JPY", "GBP", "KWD"),
        (minor, currency) => {
          const digits = minorDigits(currency);
          fc.pre(minor / 10 ** digits < 1e7);
          const typed = formatMoney(minor, currency).replace(/^[^\d]+/, "");
          expect(parseMoney(typed, currency, "Ceiling")).toEqual({ ok: true, value: minor });
        },
      ),
      RUNS,
    );
  });

  it("chances are told to five per cent, and never as nothing or certain", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (chance) => {
        expect(formatChance(chance)).toMatch(/^(unlikely|about (5|10|[1-9]5|[2-9]0|100) %)$/);
      }),
      RUNS,
    );
  });

  it("a duration is never told shorter than it is", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3500, noNaN: true }), (time) => {
        const [, minutes = "0", rest = "0"] =
          /^(?:(\d+) min ?)?(?:(\d+) s)?$/.exec(formatDuration(time)) ?? [];
        expect(Number(minutes) * 60 + Number(rest)).toBeGreaterThanOrEqual(time);
      }),
      RUNS,
    );
  });
});
