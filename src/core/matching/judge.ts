import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import { denoise } from "../quantity/decimal";
import type { Amount, AttributeSpec, Rule, Schools } from "./family";
import { compareNumbers } from "./makers-number";
import { isSame, isSpan, type Span, type Value } from "./part";

/** From best to worst; `open` is what cannot be said before something is measured. */
export const FITS = ["fit", "note", "temporary", "open", "reject"] as const;
export type Fit = (typeof FITS)[number];

/** What holds while parts are compared. */
export interface MatchContext {
  readonly limits: Limits;
  readonly schools: Schools;
}

/** Why an attribute fits or does not: a code with what was offered and needed. */
export interface FitReason {
  readonly code:
    | "same"
    | "better"
    | "instead"
    | "trim"
    | "off"
    | "off-for-a-while"
    | "only-here"
    | "lower-but-near"
    | "step-up"
    | "more"
    | "same-range"
    | "other"
    | "size-off"
    | "too-far-off"
    | "under"
    | "over"
    | "far-under"
    | "lower-class"
    | "too-short"
    | "range-lower"
    | "reaches-lower"
    | "holds-figure"
    | "range-higher"
    | "not-stated"
    | "not-known"
    | "newer-number"
    | "older-number"
    | "other-number"
    | "never"
    | "too-few"
    | "used"
    | "used-untested"
    | "used-never";
  readonly needed?: Value | undefined;
  readonly offered?: Value | undefined;
  /** Share by which it is off. */
  readonly share?: number;
  /** Note of an `instead` rule, what is never fitted, or what is said of a part on the shelf. */
  readonly note?: string;
}

export interface AttributeFit {
  readonly id: string;
  readonly fit: Fit;
  readonly reason: FitReason;
  /** A rejection that no school and no setting lets pass. */
  readonly isSafety: boolean;
}

export const worstOf = (fits: readonly Fit[]): Fit =>
  FITS[Math.max(0, ...fits.map((fit) => FITS.indexOf(fit)))] ?? "reject";

type Judged = Pick<AttributeFit, "fit"> & { readonly code: FitReason["code"] } & Partial<
    Pick<FitReason, "share" | "note">
  > & {
    /** Rejected by a school of substitution only: another one would let it pass. */
    readonly bySchool?: true;
  };

function amountOf(amount: Amount, { limits, schools }: MatchContext): number {
  if (typeof amount === "number") return amount;
  if ("limit" in amount) return limitOf(limits, amount.limit).value;
  const chosen = amount.of[schools[amount.school] ?? ""] ?? Object.values(amount.of)[0] ?? 0;
  return amountOf(chosen, { limits, schools });
}

const reject = (code: FitReason["code"], more: Partial<Judged> = {}): Judged => ({
  fit: "reject",
  code,
  ...more,
});
const fits = (code: FitReason["code"], more: Partial<Judged> = {}): Judged => ({ fit: "fit", code, ...more });
const noted = (code: FitReason["code"], more: Partial<Judged> = {}): Judged => ({
  fit: "note",
  code,
  ...more,
});

type Of<K extends Rule["kind"]> = Extract<Rule, { kind: K }>;

function byShare(rule: Of<"share">, needed: number, offered: number, context: MatchContext): Judged {
  const share = denoise(Math.abs(offered / needed - 1));
  const cap = amountOf(rule.cap, context);
  if (share > cap) return reject("too-far-off", { share });
  if (share <= Math.min(cap, amountOf(rule.note, context))) return noted("off", { share });
  if (share <= Math.min(cap, amountOf(rule.temporary, context)))
    return { fit: "temporary", code: "off-for-a-while", share };
  return reject("too-far-off", { share, bySchool: true });
}

const isOneFigure = ({ min, max }: Span): boolean => min === max;

/** What is printed as one figure, against the range that holds it. */
function byFigure(figure: number, offered: Span, assumed: number): Judged {
  if (offered.max < figure) return reject("range-lower");
  if (offered.min > figure) return reject("range-higher");
  return offered.min < denoise(figure * (1 - assumed)) ? noted("reaches-lower") : fits("holds-figure");
}

function bySpan(rule: Of<"span">, needed: Span, printed: Span, context: MatchContext): Judged {
  if (isSame(needed, printed)) return fits("same");
  const isAlike = (one: number, other: number): boolean => Math.abs(denoise(other / one - 1)) <= rule.alike;
  const assumed = amountOf(rule.assumed, context);
  if (isOneFigure(needed) && !isOneFigure(printed)) return byFigure(needed.min, printed, assumed);
  // One figure for a range: what it may be off by counts.
  const isWide = isOneFigure(printed) && !isOneFigure(needed);
  const offered = isWide
    ? { min: denoise(printed.min * (1 - assumed)), max: denoise(printed.max * (1 + assumed)) }
    : printed;
  if (isAlike(needed.min, offered.min) && isAlike(needed.max, offered.max)) return fits("same-range");
  if (offered.min < needed.min) return reject("range-lower");
  const top = denoise(needed.max * (1 + amountOf(rule.upper, context)));
  return offered.max > top ? reject("range-higher") : noted("step-up");
}

function atLeast({ more }: Of<"at-least">, needed: number, offered: number, context: MatchContext): Judged {
  if (offered < needed) return reject("under");
  if (more === undefined) return fits("better");
  return offered > denoise(needed * (1 + amountOf(more, context))) ? reject("over") : noted("more");
}

function atMost(rule: Of<"at-most">, needed: number, offered: number): Judged {
  if (offered > needed) return reject("over");
  return denoise(needed - offered) <= rule.slack ? noted("lower-but-near") : reject("far-under");
}

const SAME = fits("same");
const OTHER = reject("other");
const SIZE_OFF = reject("size-off");
/** Beyond this share of the tolerance its rounding cannot matter. */
const ROUNDING = 1e-6;

/** Whether a difference is within a tolerance; only at its very edge is the rounding of the sizes looked at. */
function isWithin(difference: number, within: number): boolean {
  const off = Math.abs(difference);
  if (off < within * (1 - ROUNDING)) return true;
  return off <= within * (1 + ROUNDING) && denoise(off) <= within;
}

function byNumber(rule: Rule, needed: number, offered: number, context: MatchContext): Judged {
  if (needed === offered) return SAME;
  switch (rule.kind) {
    case "size":
      return isWithin(offered - needed, rule.within) ? SAME : SIZE_OFF;
    case "share":
      return byShare(rule, needed, offered, context);
    case "at-least":
      return atLeast(rule, needed, offered, context);
    case "at-most":
      return atMost(rule, needed, offered);
    case "trim":
      if (denoise(needed - offered) > rule.within) return reject("too-short");
      return denoise(offered - needed) <= rule.within ? fits("same") : noted("trim");
    default:
      return OTHER;
  }
}

/** The note under which one may stand in for the other, by the rule or by a school that holds; `school` where only another would. */
function standsIn(
  rule: Of<"instead">,
  needed: string,
  offered: string,
  { schools }: MatchContext,
): { readonly note?: string; readonly bySchool?: true } {
  const noteIn = (notes: typeof rule.notes): string | undefined => {
    const table = notes[needed] ?? notes["*"];
    return table?.[offered] ?? table?.["*"];
  };
  const always = noteIn(rule.notes);
  if (always !== undefined) return { note: always };
  const perhaps = rule.bySchool ? noteIn(rule.bySchool.notes) : undefined;
  if (!rule.bySchool || perhaps === undefined) return {};
  return schools[rule.bySchool.school] === rule.bySchool.choice ? { note: perhaps } : { bySchool: true };
}

function byMakersNumber(needed: string, offered: string): Judged {
  switch (compareNumbers(needed, offered)) {
    case "same":
      return SAME;
    case "newer":
      return noted("newer-number");
    case "older":
      return noted("older-number");
    case "other":
      return reject("other-number");
  }
}

function byWord(rule: Rule, needed: Value, offered: Value, context: MatchContext): Judged {
  if (isSame(needed, offered)) return SAME;
  if (rule.kind === "number") return byMakersNumber(String(needed), String(offered));
  if (rule.kind === "order") {
    const [have, want] = [rule.from.indexOf(String(offered)), rule.from.indexOf(String(needed))];
    return have >= 0 && have < want ? fits("better") : reject("lower-class");
  }
  if (rule.kind === "instead") {
    const { note, bySchool } = standsIn(rule, String(needed), String(offered), context);
    if (note !== undefined) return noted("instead", { note });
    return reject("other", bySchool ? { bySchool } : {});
  }
  return OTHER;
}

function judged(spec: AttributeSpec, needed: Value, offered: Value, context: MatchContext): Judged {
  const { rule } = spec;
  if (rule.kind === "span")
    return isSpan(needed) && isSpan(offered) ? bySpan(rule, needed, offered, context) : reject("other");
  if (typeof needed === "number" && typeof offered === "number")
    return byNumber(rule, needed, offered, context);
  return byWord(rule, needed, offered, context);
}

/** What can be said where one of the two states nothing. */
function unstated(spec: AttributeSpec, needed: Value | undefined, offered: Value | undefined): Judged {
  if (needed !== undefined) return spec.isHard === false ? noted("not-stated") : reject("not-stated");
  if (spec.isHard !== true) return fits(offered === undefined ? "same" : "only-here");
  return { fit: "open", code: "not-known" };
}

/**
 * One attribute of a part against what is needed. A soft attribute is a note at worst; a hard one that is not known yet
 * keeps the part open; a hard one that the part does not state rejects it.
 */
export function judgeAttribute(
  id: string,
  spec: AttributeSpec,
  needed: Value | undefined,
  offered: Value | undefined,
  context: MatchContext,
): AttributeFit {
  const { fit, code, bySchool, ...more } =
    needed === undefined || offered === undefined
      ? unstated(spec, needed, offered)
      : judged(spec, needed, offered, context);
  const isSoft = spec.isHard === false && fit === "reject";
  return {
    id,
    fit: isSoft ? "note" : fit,
    reason: { code, needed, offered, ...more },
    isSafety: !isSoft && fit === "reject" && spec.isSafety === true && bySchool !== true,
  };
}
