import { fail, issue, ok, type Result } from "../result";
import { minorDigits } from "./format";

/**
 * Money as typed to integer minor units of the shop's currency; a decimal comma is understood.
 * @example parseMoney("80", "EUR", "Ceiling") // 8000
 */
export function parseMoney(typed: string, currency: string, label: string): Result<number> {
  const digits = minorDigits(currency);
  const text = typed.trim().replace(",", ".");
  const match = /^(\d{1,7})(?:\.(\d+))?$/.exec(text);
  const fraction = match?.[2] ?? "";
  if (!match || fraction.length > digits)
    return fail(
      issue(
        "",
        "money/unreadable",
        `${label} "${typed}" is not an amount of ${currency}: write ${digits === 0 ? "80" : "80 or 80.50"}.`,
        typed,
      ),
    );
  return ok(Number(match[1]) * 10 ** digits + Number(fraction.padEnd(digits, "0") || 0));
}

/** An amount with the ends within which it lies, where they were said. Minor units. */
export interface MoneyRange {
  readonly minor: number;
  readonly low: number | null;
  readonly high: number | null;
}

/**
 * An amount, or a range of amounts from the lowest to the highest: `80`, `60-100` with its middle, `60 / 75 / 100`.
 * @example parseMoneyRange("60-100", "EUR", "Price") // { minor: 8000, low: 6000, high: 10000 }
 */
export function parseMoneyRange(typed: string, currency: string, label: string): Result<MoneyRange> {
  const parts = typed.split(/\s*(?:\/|–|-|\bto\b)\s*/);
  const read = parts.map((part) => parseMoney(part, currency, label));
  const wrong = read.find((one) => !one.ok);
  if (wrong || parts.length > 3) {
    const whole = parseMoney(typed, currency, label);
    return whole.ok ? ok({ minor: whole.value, low: null, high: null }) : whole;
  }
  const amounts = read.flatMap((one) => (one.ok ? [one.value] : []));
  const [first = 0] = amounts;
  const last = amounts.at(-1) ?? first;
  if (amounts.length === 1) return ok({ minor: first, low: null, high: null });
  const middle = amounts.length === 3 ? (amounts[1] ?? first) : Math.round((first + last) / 2);
  if (first > middle || middle > last)
    return fail(
      issue(
        "",
        "money/ends",
        `${label} "${typed}" does not rise: write the lowest first and the highest last, such as 60-100.`,
        typed,
      ),
    );
  return ok({ minor: middle, low: first, high: last });
}
