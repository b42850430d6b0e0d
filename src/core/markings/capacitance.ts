import { shiftDecimal } from "../quantity/decimal";
import { PRINTED, printedNumber } from "../quantity/printed-number";
import { type Issue, issue } from "../result";

/** One piece of the marking and what it was understood to mean. */
export interface UnderstoodPart {
  readonly text: string;
  readonly field:
    | "capacitance"
    | "tolerance"
    | "voltage"
    | "frequency"
    | "role"
    | "class"
    | "protection"
    | "climate"
    | "dielectric";
  readonly meaning: string;
}

export const NUM = PRINTED;
const MICRO = String.raw`(?:[uμ]\s*f(?:d)?|mfd|mf|micro\s*farads?)`;

export interface Draft {
  rest: string;
  parts: UnderstoodPart[];
  issues: Issue[];
}

/** Takes a piece out, leaving a mark that nothing reads across. */
export function cut(draft: Draft, index: number, length: number): void {
  draft.rest = `${draft.rest.slice(0, index)} ¦ ${draft.rest.slice(index + length)}`;
}

export function take(draft: Draft, pattern: RegExp): RegExpExecArray | undefined {
  const match = pattern.exec(draft.rest);
  if (!match) return undefined;
  cut(draft, match.index, match[0].length);
  return match;
}

export const num = (text: string | undefined): number => printedNumber(text ?? "");

export function note(draft: Draft, text: string, field: UnderstoodPart["field"], meaning: string): void {
  draft.parts.push({ text: text.trim(), field, meaning });
}

export function problem(draft: Draft, code: string, message: string, given: string): void {
  draft.issues.push(issue("", `mark/${code}`, message, given));
}

export interface Values {
  min?: number;
  max?: number;
  nominal?: number;
  /** Further sections of a can. */
  others?: readonly number[];
  letter?: string;
}

const PREFIX_POWER: ReadonlyMap<string, number> = new Map([
  ["u", -6],
  ["n", -9],
  ["p", -12],
]);
const PREFIX_WORD: ReadonlyMap<string, string> = new Map([
  ["u", "μF"],
  ["n", "nF"],
  ["p", "pF"],
]);
const micro = (text: string): number => shiftDecimal(num(text), -6);

/** Nano- and picofarads, and any unit in the place of the point: 4n7, 2u2. */
function takeSmall(draft: Draft): Values | undefined {
  const infix = take(draft, /(?<![\w.,])(\d{1,4})\s*([unpμ])\s*(\d{1,3})\s*f?(?![\w.,])/i);
  if (infix) {
    const unit = (infix[2] ?? "").toLowerCase().replace("μ", "u");
    const text = `${infix[1]}.${infix[3]}`;
    note(
      draft,
      infix[0],
      "capacitance",
      `${text} ${PREFIX_WORD.get(unit)}, the unit in the place of the point`,
    );
    return { nominal: shiftDecimal(Number(text), PREFIX_POWER.get(unit) ?? -6) };
  }
  const suffixed = take(
    draft,
    new RegExp(String.raw`(${NUM})\s*([np])\s*f(?:d)?(?![a-z0-9])\s*([FGHJKMNSZ](?![a-z0-9]))?`, "i"),
  );
  if (suffixed) {
    const unit = (suffixed[2] ?? "").toLowerCase();
    note(draft, suffixed[0], "capacitance", `${suffixed[1]} ${PREFIX_WORD.get(unit)} nominal`);
    return {
      nominal: shiftDecimal(num(suffixed[1]), PREFIX_POWER.get(unit) ?? -9),
      ...(suffixed[3] ? { letter: suffixed[3].toUpperCase() } : {}),
    };
  }
  return undefined;
}

/** The capacitance as it is printed: a range, the sections of a can, one value with its unit, or a three-digit code. */
export function takeCapacitance(draft: Draft): Values {
  const negative = new RegExp(String.raw`(?<!\d\s*)-\s*${NUM}\s*${MICRO}`, "i").exec(draft.rest);
  if (negative) {
    problem(
      draft,
      "negative",
      `Capacitance "${negative[0].trim()}" is below zero: a capacitor is marked with a value such as 30 μF.`,
      negative[0].trim(),
    );
    return {};
  }
  const range = take(draft, new RegExp(String.raw`(${NUM})\s*(?:-|–|to|\.\.\.)\s*(${NUM})\s*${MICRO}`, "i"));
  if (range) {
    const [min, max] = [shiftDecimal(num(range[1]), -6), shiftDecimal(num(range[2]), -6)];
    if (min >= max)
      problem(
        draft,
        "range-reversed",
        `Range "${range[0].trim()}" runs downwards: write the smaller value first.`,
        range[0].trim(),
      );
    note(draft, range[0], "capacitance", `between ${range[1]} and ${range[2]} μF`);
    return { min, max };
  }
  const can = take(
    draft,
    new RegExp(String.raw`(${NUM})\s*[/+]\s*(${NUM})(?:\s*[/+]\s*(${NUM}))?\s*${MICRO}`, "i"),
  );
  if (can) {
    const [first = "", ...others] = can.slice(1).filter((one) => one !== undefined);
    const count = others.length === 1 ? "two" : "three";
    note(draft, can[0], "capacitance", `${count} sections: ${[first, ...others].join(", ")} μF`);
    return { nominal: micro(first), others: others.map(micro) };
  }
  const small = takeSmall(draft);
  if (small) return small;
  const single = take(draft, new RegExp(String.raw`(${NUM})\s*${MICRO}\s*([FGHJKMNSZ](?![a-z0-9]))?`, "i"));
  if (single) {
    note(draft, single[0], "capacitance", `${single[1]} μF nominal`);
    return {
      nominal: shiftDecimal(num(single[1]), -6),
      ...(single[2] ? { letter: single[2].toUpperCase() } : {}),
    };
  }
  const coded = take(draft, /(?:^|\s)(\d{2})(\d)([FGHJKMNSZ])(?![a-z0-9])/);
  if (coded) {
    const value = shiftDecimal(Number(coded[1]), Number(coded[2]) - 12);
    note(draft, coded[0], "capacitance", `code: ${coded[1]} followed by ${coded[2]} zeros, in picofarads`);
    return { nominal: value, ...(coded[3] ? { letter: coded[3] } : {}) };
  }
  return {};
}
