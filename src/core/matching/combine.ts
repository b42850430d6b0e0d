import { denoise } from "../quantity/decimal";
import type { Family, Together } from "./family";
import { FITS, type Fit, judgeAttribute, type MatchContext, worstOf } from "./judge";
import { weigh } from "./match";
import type { Attributes, Part, Value } from "./part";
import { formatValue } from "./typed";

/** Several parts in the place of one, or a part of another kind of which some stays unused. */
export interface Combination {
  /** The numbers of its parts. */
  readonly id: string;
  readonly parts: readonly Part[];
  /** What it comes to, in words; empty where that is nothing of its own. */
  readonly total: string;
  /** How it is fitted. */
  readonly said: string;
  /** By its attributes; that it is a combination is a note in itself. */
  readonly fit: Fit;
  readonly priceMinor: number;
  /** Until the last of them is here. */
  readonly days: number;
}

/** Parts that a combination can be made of: those of the family itself, and of others by their id. */
export interface Lists {
  readonly own: readonly Part[];
  readonly others: ReadonlyMap<string, { readonly family: Family; readonly parts: readonly Part[] }>;
}

const MOST = 3;
type Of<K extends Together["kind"]> = Extract<Together, { kind: K }>;
type Made = Omit<Combination, "id" | "said" | "priceMinor" | "days">;

interface Fitting {
  readonly part: Part;
  readonly fit: Fit;
}

function isBetter(one: Fitting, other: Fitting): boolean {
  const fit = FITS.indexOf(one.fit) - FITS.indexOf(other.fit);
  const price = one.part.priceMinor - other.part.priceMinor;
  return (fit || price || (one.part.id < other.part.id ? -1 : 1)) < 0;
}

/** Of parts the one that fits best, then the cheapest; undefined where none may be fitted. */
function bestOf(
  family: Family,
  need: Attributes,
  parts: readonly Part[],
  context: MatchContext,
): Fitting | undefined {
  let best: Fitting | undefined;
  for (const part of parts) {
    // Nothing dearer is better than one that fits.
    if (best?.fit === "fit" && part.priceMinor > best.part.priceMinor) continue;
    const one = weigh(family, need, part, context);
    // For a while only, a single one does as well.
    if (one.fit !== "fit" && one.fit !== "note") continue;
    if (!best || isBetter(one, best)) best = one;
  }
  return best;
}

/** Of each value of an attribute the best, which is weighed elsewhere: here it is its own. */
function bestByValue(
  family: Family,
  need: Attributes,
  attribute: string,
  parts: readonly Part[],
  context: MatchContext,
): ReadonlyMap<number, Fitting> {
  const byValue = new Map<number, Part[]>();
  for (const part of parts) {
    const value = part.attributes[attribute];
    if (typeof value !== "number") continue;
    const same = byValue.get(value);
    if (same) same.push(part);
    else byValue.set(value, [part]);
  }
  const best = new Map<number, Fitting>();
  for (const [value, same] of byValue) {
    const one = bestOf(family, { ...need, [attribute]: value }, same, context);
    if (one) best.set(value, one);
  }
  return best;
}

/** Two values that come to what is wanted: exactly so where any two do, or else within what may stand for good. */
function sumsTo(values: readonly number[], judge: (total: number) => Fit) {
  const sums = values.flatMap((one, index) =>
    values.slice(index).map((other) => {
      const total = denoise(one + other);
      return { one, other, total, fit: judge(total) };
    }),
  );
  const exact = sums.filter(({ fit }) => fit === "fit");
  return exact.length > 0 ? exact : sums.filter(({ fit }) => fit === "note");
}

/** Two side by side whose values add up, such as two run capacitors: each must fit in all but its value. */
function added(
  rule: Of<"add">,
  family: Family,
  need: Attributes,
  { own }: Lists,
  context: MatchContext,
): Made[] {
  const { attribute } = rule;
  const spec = family.attributes[attribute];
  const wanted = need[attribute];
  if (!spec || typeof wanted !== "number" || rule.when?.(need) === false) return [];
  const smaller = own.filter((part) => Number(part.attributes[attribute]) < wanted);
  const values = [...new Set(smaller.map((part) => Number(part.attributes[attribute])))];
  const sums = sumsTo(values, (total) => judgeAttribute(attribute, spec, wanted, total, context).fit);
  const used = new Set(sums.flatMap(({ one, other }) => [one, other]));
  const usable = smaller.filter((part) => used.has(Number(part.attributes[attribute])));
  const best = bestByValue(family, need, attribute, usable, context);
  return sums.flatMap(({ one, other, total, fit }): Made[] => {
    const [larger, lesser] = [best.get(Math.max(one, other)), best.get(Math.min(one, other))];
    if (!larger || !lesser) return [];
    return [
      {
        parts: [larger.part, lesser.part],
        total: formatValue(spec, total),
        fit: worstOf([larger.fit, lesser.fit, fit]),
      },
    ];
  });
}

/** Share by which a value may be off to be weighed at all: wider than any rule lets pass. */
const NEAR = 0.3;
const isNear = (value: Value | undefined, needed: number): boolean =>
  typeof value === "number" && Math.abs(value / needed - 1) <= NEAR;

/** One pressed into another: what is inside of the one is needed, and what is outside of the other. */
function nested(
  rule: Of<"nest">,
  family: Family,
  need: Attributes,
  { own }: Lists,
  context: MatchContext,
): Made[] {
  const { inside, outside } = rule;
  const [inner, outer] = [need[inside], need[outside]];
  if (typeof inner !== "number" || typeof outer !== "number") return [];
  const inners = own.filter(
    ({ attributes }) => isNear(attributes[inside], inner) && Number(attributes[outside]) < outer,
  );
  const outers = own.filter(
    ({ attributes }) => isNear(attributes[outside], outer) && Number(attributes[inside]) > inner,
  );
  const around = bestByValue(family, need, inside, outers, context);
  return [...bestByValue(family, need, outside, inners, context)].flatMap(([meets, one]): Made[] => {
    const other = around.get(meets);
    return other ? [{ parts: [one.part, other.part], total: "", fit: worstOf([one.fit, other.fit]) }] : [];
  });
}

/** A part of another family of which one section does what is needed. */
function bySection(
  rule: Of<"section">,
  family: Family,
  need: Attributes,
  { others }: Lists,
  context: MatchContext,
): Made[] {
  const { of, as, also, carries } = rule;
  const spec = family.attributes[as];
  const needed = need[as];
  if (!spec || typeof needed !== "number") return [];
  const parts = others.get(rule.family)?.parts ?? [];
  return of.flatMap((section) => {
    const near = parts.filter(({ attributes }) => isNear(attributes[section], needed));
    const alone = near.map((part): Part => {
      const kept = Object.fromEntries(carries.map((id) => [id, part.attributes[id]]));
      return { ...part, attributes: { ...also, ...kept, [as]: part.attributes[section] } };
    });
    const values = [...new Set(alone.map(({ attributes }) => attributes[as]))];
    return values.flatMap((value): Made[] => {
      const same = alone.filter(({ attributes }) => attributes[as] === value);
      const best = bestOf(family, need, same, context);
      return best ? [{ parts: [best.part], total: formatValue(spec, value ?? 0), fit: best.fit }] : [];
    });
  });
}

/** Single parts of another family, one for each section. */
function bySplit(
  rule: Of<"split">,
  _: Family,
  need: Attributes,
  { others }: Lists,
  context: MatchContext,
): Made[] {
  const { of, as, also, carries } = rule;
  const other = others.get(rule.family);
  if (!other || of.some((section) => typeof need[section] !== "number")) return [];
  const kept = Object.fromEntries(carries.map((id) => [id, need[id]]));
  const best = of.map((section) =>
    bestOf(
      other.family,
      { ...also, ...kept, [as]: need[section] },
      other.parts.filter(({ attributes }) => isNear(attributes[as], Number(need[section]))),
      context,
    ),
  );
  const whole = best.flatMap((one) => one ?? []);
  return whole.length < of.length
    ? []
    : [{ parts: whole.map(({ part }) => part), total: "", fit: worstOf(whole.map(({ fit }) => fit)) }];
}

function madeBy(
  rule: Together,
  family: Family,
  need: Attributes,
  lists: Lists,
  context: MatchContext,
): Made[] {
  switch (rule.kind) {
    case "add":
      return added(rule, family, need, lists, context);
    case "nest":
      return nested(rule, family, need, lists, context);
    case "section":
      return bySection(rule, family, need, lists, context);
    case "split":
      return bySplit(rule, family, need, lists, context);
  }
}

/** Whether of each part on the shelf as many lie there as it takes. */
function isThere(parts: readonly Part[], fitted: number): boolean {
  return parts.every(
    ({ id, shelf }) => !shelf || shelf.count >= fitted * parts.filter((one) => one.id === id).length,
  );
}

/**
 * What may stand in the place of one part: two that add up, one pressed into another, a section of another kind, single ones
 * for the sections. Of each way the better fit first, then the cheaper, then the sooner, three at most.
 * @returns none for a family that has no such way, or while what it needs for it is not known
 * @example 13 μF needed → 8 μF with 5 μF
 */
export function combinationsFor(
  family: Family,
  need: Attributes,
  lists: Lists,
  context: MatchContext,
): readonly Combination[] {
  const isKnown = Object.entries(family.attributes).every(
    ([id, { isHard }]) => isHard !== true || need[id] !== undefined,
  );
  // While what decides is not known, every one of them would be open.
  if (!isKnown) return [];
  return (family.together ?? []).flatMap((rule) =>
    madeBy(rule, family, need, lists, context)
      .filter(({ parts }) => isThere(parts, family.fitted ?? 1))
      .map(
        ({ parts, ...made }): Combination => ({
          ...made,
          id: parts.map(({ id }) => id).join("+"),
          parts,
          said: rule.said,
          priceMinor: parts.reduce((sum, part) => sum + part.priceMinor, 0),
          days: Math.max(...parts.map(({ days }) => days)),
        }),
      )
      .sort(
        (one, other) =>
          FITS.indexOf(one.fit) - FITS.indexOf(other.fit) ||
          one.priceMinor - other.priceMinor ||
          one.days - other.days ||
          (one.id < other.id ? -1 : 1),
      )
      .slice(0, MOST),
  );
}
