import { fail, issue, ok, type Result } from "../result";
import { denoise } from "./decimal";
import { plainNumber } from "./printed-number";
import { QUANTITIES, type QuantityId, type Reading } from "./reading";

/** A reading, and what the reader should be told about how it was understood. */
export interface ParsedReading {
  readonly reading: Reading;
  /** One sentence, such as that a comma was taken as the decimal point. */
  readonly said?: string;
}

const PREFIX: ReadonlyMap<string, number> = new Map(
  Object.entries<number>({
    p: 1e-12,
    n: 1e-9,
    u: 1e-6,
    μ: 1e-6,
    m: 1e-3,
    k: 1e3,
    K: 1e3,
    M: 1e6,
    G: 1e9,
    T: 1e12,
  }),
);

/** Words for the unit after the prefix, lower case. */
const UNIT_WORDS: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries<readonly string[]>({
    F: ["f", "fd", "farad", "farads"],
    Ω: ["ω", "ohm", "ohms", "r"],
    V: ["v", "volt", "volts", "vac", "vdc", "v~"],
    A: ["a", "amp", "amps", "aac", "adc"],
    W: ["w", "watt", "watts"],
    Hz: ["hz"],
    "1/min": ["r/min", "rpm", "/min", "1/min"],
    m: ["m"],
    s: ["s", "sec", "seconds"],
    share: [],
    dB: ["db", "dba", "db(a)"],
    K: [],
  }),
);

const EXAMPLES: Readonly<Record<QuantityId, string>> = {
  capacitance: "12.4u or 12.4 μF",
  resistance: "12.4, 12k4 or 0.43M",
  insulation: "2.5 or 2.5M",
  voltage: "231",
  current: "4.9",
  power: "120",
  frequency: "50",
  temperature: "14 °C",
  speed: "1420",
  time: "4.2",
  dissipation: "0.02 or 2 %",
  noise: "62",
};

const OVER = /^(ol|o\.l\.?|0l|over|overload|over-?range|open|∞|inf)$/i;
const UNDER = /^(ul|under|under-?range)$/i;
const NOT_TAKEN = /^(not taken|none|-|–|n\/a)$/i;
const PLAIN = /^([+-]?)(\d+(?:\.\d*)?|\.\d+)(?:e([+-]?\d{1,4}))?\s*(.*)$/i;
const INFIX = /^([+-]?)(\d+)([pnuμmkKMGR])(\d+)\s*(.*)$/;

/** One spelling for the characters that have several: U+00B5 and U+2126 become U+03BC and U+03A9. */
export function normaliseSigns(text: string): string {
  return text
    .replace(/\u00b5/g, "μ")
    .replace(/\u2126/g, "Ω")
    .replace(/\u2212/g, "-")
    .replace(/[\u00a0\u2009\u202f]/g, " ");
}

interface Parts {
  readonly number: number;
  readonly decimals: number;
  readonly rest: string;
  readonly prefix?: string;
}

function split(text: string): Parts | undefined {
  const infix = INFIX.exec(text);
  if (infix) {
    const [, sign = "", whole = "", mark = "", decimals = "", rest = ""] = infix;
    const number = Number(`${sign}${whole}.${decimals}`);
    return { number, decimals: decimals.length, rest: rest.trim(), prefix: mark === "R" ? "" : mark };
  }
  const plain = PLAIN.exec(text);
  if (!plain) return undefined;
  const [, sign = "", digits = "", exponent = "0", rest = ""] = plain;
  const number = Number(`${sign}${digits}e${exponent}`);
  const decimals = (digits.split(".")[1] ?? "").length - Number(exponent);
  return { number, decimals, rest: rest.trim() };
}

interface Scale {
  readonly factor: number;
  readonly offset: number;
}

function temperatureScale(rest: string): Scale | undefined {
  if (/^(°\s*c?|c|deg(rees?)?\s*c?|℃)$/i.test(rest)) return { factor: 1, offset: 273.15 };
  if (/^(°\s*f|f|deg(rees?)?\s*f|℉)$/i.test(rest)) return { factor: 5 / 9, offset: 273.15 - (32 * 5) / 9 };
  if (/^k$/i.test(rest)) return { factor: 1, offset: 0 };
  return undefined;
}

/** What the letters after the number mean, or undefined when they mean nothing here. */
function scaleOf(quantity: QuantityId, parts: Parts): Scale | undefined {
  const { unit, bare } = QUANTITIES[quantity];
  const { rest, prefix } = parts;
  if (rest === "" && prefix === undefined) return { factor: bare.scale, offset: bare.offset };
  if (unit === "share") return rest === "%" ? { factor: 0.01, offset: 0 } : undefined;
  if (unit === "K") return prefix === undefined ? temperatureScale(rest) : undefined;
  const words = UNIT_WORDS.get(unit) ?? [];
  const isUnit = (word: string): boolean => word === "" || words.includes(word.toLowerCase());
  if (prefix !== undefined) return isUnit(rest) ? { factor: PREFIX.get(prefix) ?? 1, offset: 0 } : undefined;
  if (unit === "F" && /^(mfd|mf|mmf)$/i.test(rest))
    return { factor: /^mmf$/i.test(rest) ? 1e-12 : 1e-6, offset: 0 };
  if (words.includes(rest.toLowerCase())) return { factor: 1, offset: 0 };
  if (/^(meg|mega)(ohms?)?$/i.test(rest) && unit === "Ω") return { factor: 1e6, offset: 0 };
  const head = rest.charAt(0);
  const factor = PREFIX.get(head);
  if (factor !== undefined && isUnit(rest.slice(1).trim())) return { factor, offset: 0 };
  return undefined;
}

function unreadable(label: string, text: string, advice: string): Result<never> {
  return fail(issue("", "reading/unreadable", `${label} "${text}" ${advice}`, text));
}

/** The problem named, when the text is no number at all. */
function complain(label: string, text: string, example: string): Result<never> {
  if (text === "")
    return fail(
      issue("", "reading/missing", `${label} is empty: type a reading such as ${example}, or OL.`, text),
    );
  const twoPoints = /^([+-]?\d*)\.\.+(\d*.*)$/.exec(text);
  if (twoPoints)
    return unreadable(
      label,
      text,
      `is not a number: write one decimal point, such as ${twoPoints[1]}.${twoPoints[2]}.`,
    );
  if (/^\d+\s+\d/.test(text))
    return unreadable(label, text, "has a space between digits: write the digits together.");
  if (/^0[xbo]/i.test(text))
    return unreadable(label, text, "is not a decimal number: write it in ordinary digits.");
  return unreadable(
    label,
    text,
    `is not a reading: write a number with its unit, such as ${example}, or OL.`,
  );
}

/** Thousands that are set apart for certain: twice, by an apostrophe, or with a decimal of the other sign behind them. */
const CERTAIN =
  /^[+-]?(?:[1-9]\d{0,2}(?:(?:,\d{3}){2,}|(?:\.\d{3}){2,}|(?:['’]\d{3})+)(?![\d.,])|[1-9]\d{0,2}(?:(?:,\d{3})+\.\d+|(?:\.\d{3})+,\d+)(?![\d.,]))/;
/** One comma or point before exactly three digits: thousands in one country, decimals in the next. */
const EITHER = /^[+-]?([1-9]\d{0,2})([.,])(\d{3})(?![\d.,])/;
/** Read to three decimals by nobody, or dangerous when they are read too low: a point is asked about as well. */
const POINT_ASKED: ReadonlySet<QuantityId> = new Set(["voltage", "speed"]);

/** Whether what was typed can be a thousand times more than it looks. */
function mayBeThousands(quantity: QuantityId, text: string, { factor }: Scale): boolean {
  const sign = EITHER.exec(text)?.[2];
  const isPlain = factor === 1 || factor === QUANTITIES[quantity].bare.scale;
  return isPlain && (sign === "," || (sign === "." && POINT_ASKED.has(quantity)));
}

const BOUND = /^(>|≥|>=|<|≤|<=|more than|greater than|less than)\s*(?=[\d.,])/i;
/** From here on more than so many ohms is as good as open to every move. Judged. */
const OPEN_FROM_OHMS = 1e6;

/** "> 200 MΩ" is what a tester shows at the end of its range; of other quantities a bound says too little. */
function boundReading(
  text: string,
  sign: string,
  quantity: QuantityId,
  label: string,
): Result<ParsedReading> {
  const parsed = parseReading(text.slice(sign.length).trim(), quantity, label);
  if (!parsed.ok || parsed.value.reading.kind !== "value") return parsed;
  const isMore = /^(>|≥|more|greater)/i.test(sign);
  const limit = parsed.value.reading.value;
  const isUsable =
    quantity === "insulation" || (quantity === "resistance" && isMore && limit >= OPEN_FROM_OHMS);
  if (!isUsable)
    return unreadable(
      label,
      text,
      `says only that it is ${isMore ? "more" : "less"}: write the figure that the meter shows, or OL.`,
    );
  return ok({ reading: { kind: isMore ? "over-range" : "under-range", limit, entered: text } });
}

function specialReading(text: string): Reading | undefined {
  if (OVER.test(text)) return { kind: "over-range", entered: text };
  if (UNDER.test(text)) return { kind: "under-range", entered: text };
  if (NOT_TAKEN.test(text)) return { kind: "not-taken", why: "not taken" };
  return undefined;
}

function inRange(quantity: QuantityId, label: string, text: string, value: number): Result<number> {
  const { min, max, unit } = QUANTITIES[quantity];
  if (!Number.isFinite(value))
    return fail(issue("", "reading/too-large", `${label} "${text}" is larger than any meter reads.`, text));
  if (min === 0 && value < 0)
    return fail(
      issue(
        "",
        "reading/negative",
        `${label} "${text}" is below zero: ${QUANTITIES[quantity].label} is zero or more.`,
        text,
      ),
    );
  if (value < min || value > max) {
    const printed = unit === "K" ? "-100 °C to 1000 °C" : `${min} ${unit} to ${max} ${unit}`;
    return fail(
      issue("", "reading/not-possible", `${label} "${text}" is outside what is possible (${printed}).`, text),
    );
  }
  return ok(value);
}

/**
 * Text typed at the bench to a {@link Reading} in SI.
 *
 * Understands `12.4`, `12k4`, `4R7`, `0.43M`, `31.2u`, `OL`, a unit, and a decimal comma (which it says).
 * A bare number is in the quantity's bare unit (μF, Ω, MΩ for insulation, V, °C).
 * @returns an issue with an empty path when it cannot tell; the caller sets the field.
 * @example parseReading("61.8u", "capacitance") // value 61.8e-6 F, resolution 0.1e-6 F
 */
export function parseReading(typed: string, quantity: QuantityId, label = "Reading"): Result<ParsedReading> {
  const text = normaliseSigns(typed).trim();
  const special = specialReading(text);
  if (special) return ok({ reading: special });
  const bound = BOUND.exec(text)?.[0];
  if (bound !== undefined) return boundReading(text, bound, quantity, label);
  const certain = CERTAIN.exec(text)?.[0];
  if (certain !== undefined) {
    const number = plainNumber(certain.replace(/^[+-]/, ""));
    const plain = `${certain.startsWith("-") ? "-" : ""}${number}${text.slice(certain.length)}`;
    const parsed = parseReading(plain, quantity, label);
    if (!parsed.ok || parsed.value.reading.kind !== "value") return parsed;
    return ok({ reading: { ...parsed.value.reading, entered: typed }, said: `Read as ${plain}.` });
  }
  const hasComma = /^[+-]?\d+,\d+/.test(text) && !text.includes(".") && text.split(",").length === 2;
  const pointed = hasComma ? text.replace(",", ".") : text;
  const parts = /^[+-]?0[xbo]/i.test(pointed) ? undefined : split(pointed);
  if (!parts || /^[\d.,]/.test(parts.rest)) return complain(label, text, EXAMPLES[quantity]);
  const scale = scaleOf(quantity, parts);
  if (!scale)
    return unreadable(
      label,
      text,
      `ends in "${parts.rest}", which is no unit of ${QUANTITIES[quantity].label}: write ${EXAMPLES[quantity]}.`,
    );
  if (mayBeThousands(quantity, text, scale)) {
    const [, whole = "", , decimals = ""] = EITHER.exec(text) ?? [];
    return unreadable(
      label,
      text,
      `can be ${whole}${decimals} or ${Number(`${whole}.${decimals}`)}: write one of them.`,
    );
  }
  const value = inRange(quantity, label, text, denoise(parts.number * scale.factor + scale.offset));
  if (!value.ok) return value;
  const { unit } = QUANTITIES[quantity];
  const resolution = denoise(10 ** -parts.decimals * scale.factor);
  const reading: Reading = { kind: "value", value: value.value, unit, entered: typed, resolution };
  return ok(
    hasComma ? { reading, said: `The comma was read as the decimal point: ${pointed}.` } : { reading },
  );
}
