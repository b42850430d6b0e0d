import { parseReading } from "../quantity/parse-reading";
import { type Watts, watts } from "../quantity/units";
import { fail, issue, ok, type Result } from "../result";

/** One mechanical horsepower in watts. */
const HORSEPOWER_W = 745.7;

/**
 * Power as a plate states it: watts, kilowatts, or horsepower with a fraction. Watts.
 * @example parsePower("1/3 hp") // 248.6 W
 */
export function parsePower(typed: string): Result<Watts> {
  const horse = /^(\d+(?:[.,]\d+)?)(?:\s*\/\s*(\d+))?\s*(?:hp|h\.p\.)$/i.exec(typed.trim());
  if (horse) {
    const over = Number(horse[2] ?? 1);
    if (over === 0) return fail(issue("", "power/unreadable", `Power "${typed}" divides by zero.`, typed));
    return ok(watts((Number((horse[1] ?? "").replace(",", ".")) / over) * HORSEPOWER_W));
  }
  const parsed = parseReading(typed, "power", "Power on the plate");
  if (!parsed.ok) return parsed;
  const { reading } = parsed.value;
  return reading.kind === "value"
    ? ok(watts(reading.value))
    : fail(
        issue(
          "",
          "power/unreadable",
          `Power "${typed}" is not a power: write 250 W, 0.25 kW or 1/3 hp.`,
          typed,
        ),
      );
}
