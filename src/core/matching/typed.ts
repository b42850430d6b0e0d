import { formatText } from "../quantity/format";
import { normaliseSigns, parseReading } from "../quantity/parse-reading";
import type { QuantityId } from "../quantity/reading";
import { fail, issue, ok, type Result } from "../result";
import type { AttributeSpec } from "./family";
import { formatNumber, parseNumber } from "./makers-number";
import { isSpan, type Value } from "./part";

const INCH = 0.0254;
const NUM = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
/** A length: a number or a fraction, also one and a half, and its unit. */
const LENGTH = new RegExp(
  String.raw`^(?:(\d+)[\s-]+(?=\d+/))?(?:(\d+)/(\d+)|(${NUM}))\s*(mm|cm|m|in|inch|inches|"|”)?$`,
  "i",
);
const LENGTH_UNITS = new Map([
  ["mm", 1e-3],
  ["cm", 1e-2],
  ["m", 1],
  ["in", INCH],
  ["inch", INCH],
  ["inches", INCH],
  ['"', INCH],
  ["”", INCH],
]);

/** The quantity in which a unit's figures are typed. */
const QUANTITY = new Map<string, QuantityId>([
  ["F", "capacitance"],
  ["Ω", "resistance"],
  ["V", "voltage"],
  ["A", "current"],
  ["W", "power"],
  ["Hz", "frequency"],
  ["K", "temperature"],
  ["1/min", "speed"],
]);

const SQUARE_MM = 1e-6;
const PLACES = 12;
const tidy = (value: number): number => Number(value.toPrecision(PLACES));
/** No caliper reads finer: 0.787401575 in is 20 mm, neither more nor less. */
const toNanometre = (metres: number): number => tidy(Math.round(metres * 1e9) / 1e9);
const number = (text: string): number => Number(text.replace(",", "."));

/**
 * A length as it is typed, metres: millimetres where no unit is said; inches also as a fraction.
 * @example parseLength("5/16 in") // 0.0079375
 */
export function parseLength(text: string, label: string): Result<number> {
  const found = LENGTH.exec(normaliseSigns(text).trim());
  if (!found)
    return fail(
      issue(
        "",
        "length/unreadable",
        `${label} "${text}" is no length: write 8, 8 mm, 5/16 in or 0.315 in.`,
        text,
      ),
    );
  const [, whole = "0", over, under, plain = "0", unit = "mm"] = found;
  if (under !== undefined && Number(under) === 0)
    return fail(issue("", "length/unreadable", `${label} "${text}" divides by nought: write 5/16 in.`, text));
  const count = Number(whole) + (over === undefined ? number(plain) : Number(over) / Number(under));
  const metres = toNanometre(count * (LENGTH_UNITS.get(unit.toLowerCase()) ?? 1e-3));
  if (metres <= 0)
    return fail(issue("", "length/none", `${label} "${text}" is nothing: write a length above 0.`, text));
  return ok(metres);
}

function parseFigure(text: string, unit: string | undefined, label: string): Result<number> {
  if (unit === "m") return parseLength(text, label);
  const quantity = unit === undefined ? undefined : QUANTITY.get(unit);
  if (quantity === undefined) {
    const found = new RegExp(String.raw`^(${NUM})\s*(?:mm²|mm2)?$`).exec(text.trim());
    if (!found)
      return fail(
        issue("", "figure/unreadable", `${label} "${text}" is no number: write one such as 2.`, text),
      );
    return ok(tidy(number(found[1] ?? "") * (unit === "m²" ? SQUARE_MM : 1)));
  }
  const parsed = parseReading(text, quantity, label);
  if (!parsed.ok) return parsed;
  const { reading } = parsed.value;
  if (reading.kind !== "value" || reading.value <= 0)
    return fail(
      issue("", "figure/none", `${label} "${text}" cannot be matched: write a figure above 0.`, text),
    );
  return ok(tidy(reading.value));
}

function parseSpan(text: string, spec: AttributeSpec): Result<Value> {
  const found = new RegExp(String.raw`^(${NUM})\s*(?:-|–|to)\s*(${NUM}\s*\S*)$`, "i").exec(text.trim());
  const high = found ? parseFigure(found[2] ?? "", spec.unit, spec.label) : undefined;
  const suffix = /[a-zμ]+$/i.exec(found?.[2] ?? "")?.[0] ?? "";
  const low = found ? parseFigure(`${found[1]}${suffix}`, spec.unit, spec.label) : undefined;
  // One figure alone is a range of no width.
  const alone = found ? undefined : parseFigure(text.trim(), spec.unit, spec.label);
  if (alone?.ok) return ok({ min: alone.value, max: alone.value });
  if (!high?.ok || !low?.ok || low.value > high.value)
    return fail(
      issue(
        "",
        "span/unreadable",
        `${spec.label} "${text}" is no range: write both ends, such as 145-174 μF, or the one figure that is printed.`,
        text,
      ),
    );
  return ok({ min: low.value, max: high.value });
}

function parseChoice(text: string, { label, choices = {} }: AttributeSpec): Result<Value> {
  const wanted = text.trim().toLowerCase();
  const found = Object.entries(choices).find(
    ([value, words]) => value.toLowerCase() === wanted || words.toLowerCase() === wanted,
  );
  if (found) return ok(found[0]);
  const known = Object.values(choices).join("; ");
  return fail(issue("", "choice/unknown", `${label} "${text}" is none of: ${known}.`, text));
}

/** A value of an attribute as it is typed. Nothing is guessed: what cannot be read says what could. */
export function parseValue(spec: AttributeSpec, text: string): Result<Value> {
  if (spec.choices) return parseChoice(text, spec);
  if (spec.rule.kind === "number") return parseNumber(text, spec.label);
  return spec.rule.kind === "span" ? parseSpan(text, spec) : parseFigure(text, spec.unit, spec.label);
}

const plain = (value: number): string => String(Number(value.toPrecision(6)));

/** A value of an attribute in words, with its unit; what is typed the same way means the same. */
export function formatValue(spec: AttributeSpec, value: Value): string {
  const { unit, choices } = spec;
  if (choices) return choices[String(value)] ?? String(value);
  if (isSpan(value)) {
    if (value.min === value.max) return formatText(value.min, unit ?? "", 6);
    const high = formatText(value.max, unit ?? "", 6);
    return `${plain(value.min * 1e6)} to ${high}`;
  }
  if (spec.rule.kind === "number") return formatNumber(String(value));
  if (typeof value !== "number") return String(value);
  if (unit === "m") return `${plain(value * 1e3)} mm`;
  if (unit === "m²") return `${plain(value / SQUARE_MM)} mm²`;
  return unit === undefined ? plain(value) : formatText(value, unit, 6);
}

/**
 * What somebody may have meant who typed a size far outside all that is sold: suggested, never applied.
 * @param sold the least and the most that the price list has
 */
export function suggestUnit(
  text: string,
  metres: number,
  sold: readonly [number, number],
): string | undefined {
  if (/[a-z"”]/i.test(text) || (metres >= sold[0] / 2 && metres <= sold[1] * 2)) return undefined;
  const inches = tidy((metres / 1e-3) * INCH);
  const centimetres = tidy(metres * 10);
  const isSold = (length: number): boolean => length >= sold[0] * 0.9 && length <= sold[1] * 1.1;
  if (isSold(inches)) return `${text} in is ${plain(inches * 1e3)} mm`;
  return isSold(centimetres) ? `${text} cm is ${plain(centimetres * 1e3)} mm` : undefined;
}
