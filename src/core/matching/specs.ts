import type { AttributeSpec, Rule } from "./family";

/** How an attribute is found, and the minutes that takes. */
interface Found {
  readonly how: string;
  readonly minutes: number;
}

type More = Partial<Pick<AttributeSpec, "isSafety" | "isHard">>;
type AtLeast = Extract<Rule, { kind: "at-least" }>;

const MM = 1e-3;

/** A length in millimetres that must be the same, within `within` millimetres. Kept in metres. */
export const size = (label: string, within: number, found: Found, more: More = {}): AttributeSpec => ({
  label,
  unit: "m",
  rule: { kind: "size", within: within * MM },
  isHard: true,
  ...found,
  ...more,
});

/** A figure that must be the same, within an absolute tolerance in its own unit. */
export const equal = (
  label: string,
  unit: string,
  within: number,
  found: Found,
  more: More = {},
): AttributeSpec => ({ label, unit, rule: { kind: "size", within }, isHard: true, ...found, ...more });

/** A rating that is never less. */
export const rating = (
  label: string,
  unit: string,
  found: Found,
  more: More & { readonly rule?: AtLeast } = {},
): AttributeSpec => ({
  label,
  unit,
  rule: { kind: "at-least" },
  isHard: true,
  isSafety: true,
  ...found,
  ...more,
});

/** Volts for the mains: what is printed as direct is no such rating. */
export const voltsAc = (found: Found): AttributeSpec => ({
  ...rating("Volts AC", "V", found),
  isAlternating: true,
});

/** A figure that is never more; less by up to `slack` fits with a note. */
export const ceiling = (
  label: string,
  unit: string,
  slack: number,
  found: Found,
  more: More = {},
): AttributeSpec => ({
  label,
  unit,
  rule: { kind: "at-most", slack },
  isHard: true,
  ...found,
  ...more,
});

/** One of a list, by a rule of its own or the same word. */
export const choice = (
  label: string,
  choices: Readonly<Record<string, string>>,
  found: Found,
  more: More & { readonly rule?: Rule } = {},
): AttributeSpec => ({ label, choices, rule: { kind: "same" }, isHard: true, ...found, ...more });

/** A whole number of something: poles, teeth, ribs. */
export const count = (label: string, found: Found, more: More = {}): AttributeSpec => ({
  label,
  rule: { kind: "same" },
  isHard: true,
  ...found,
  ...more,
});

/** A length that can be taken off, never put on. */
export const trimmed = (label: string, found: Found): AttributeSpec => ({
  label,
  unit: "m",
  rule: { kind: "trim", within: 0.3 * MM },
  isHard: true,
  ...found,
});

/** Metres of a length given in millimetres, without the rounding of a product. */
export const mm = (length: number): number => Number((length * MM).toPrecision(12));
