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
