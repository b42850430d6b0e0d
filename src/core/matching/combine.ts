import { denoise } from "../quantity/decimal";
import type { Family } from "./family";
import { FITS, type Fit, judgeAttribute, type MatchContext, worstOf } from "./judge";
import { failsBy, matchPart } from "./match";
import type { Attributes, Part } from "./part";

/** Two parts side by side in the place of one. */
export interface Pair {
  readonly parts: readonly [Part, Part];
  /** What they come to together, in the unit of what adds up. */
  readonly total: number;
  readonly fit: Fit;
  readonly priceMinor: number;
  /** Until the later of the two is here. */
  readonly days: number;
}

const MOST_PAIRS = 3;

/** Of each value the part that fits best in everything else, and then the cheapest. */
function bestByValue(
  family: Family,
  adds: string,
  need: Attributes,
  parts: readonly Part[],
  context: MatchContext,
): { readonly part: Part; readonly value: number; readonly fit: Fit }[] {
  const best = new Map<number, { readonly part: Part; readonly value: number; readonly fit: Fit }>();
  const quick = { attributes: Object.entries(family.attributes), never: family.never };
  for (const part of parts) {
    const value = part.attributes[adds];
    if (typeof value !== "number") continue;
    // Its value is weighed in the pair: here it is its own.
    if (failsBy(quick, { ...need, [adds]: value }, part, context).first !== undefined) continue;
    const { fit } = matchPart(family, { ...need, [adds]: value }, part, context);
    if (fit === "reject" || fit === "open") continue;
    const before = best.get(value);
    const isBetter =
      !before ||
      FITS.indexOf(fit) < FITS.indexOf(before.fit) ||
      (fit === before.fit && part.priceMinor < before.part.priceMinor);
    if (isBetter) best.set(value, { part, value, fit });
  }
  return [...best.values()];
}

/**
 * Pairs that come to what is needed where values add up side by side, such as two run capacitors: each must fit in all but its
 * value, both together in their value. The better fit first, then the cheaper, then the sooner.
 * @returns none for a family whose values do not add up, or while the value is not known
 * @example 13 μF needed → 8 μF with 5 μF
 */
export function pairsFor(
  family: Family,
  need: Attributes,
  parts: readonly Part[],
  context: MatchContext,
): readonly Pair[] {
  const { adds } = family;
  const spec = adds === undefined ? undefined : family.attributes[adds];
  const wanted = adds === undefined ? undefined : need[adds];
  if (adds === undefined || !spec || typeof wanted !== "number") return [];
  const smaller = bestByValue(
    family,
    adds,
    need,
    parts.filter(({ attributes }) => Number(attributes[adds]) < wanted),
    context,
  );
  const pairs = smaller.flatMap((one, index) =>
    smaller.slice(index).flatMap((other): Pair[] => {
      const total = denoise(one.value + other.value);
      const together = judgeAttribute(adds, spec, wanted, total, context);
      if (together.fit === "reject" || together.fit === "temporary") return [];
      return [
        {
          parts: one.value >= other.value ? [one.part, other.part] : [other.part, one.part],
          total,
          fit: worstOf([one.fit, other.fit, together.fit]),
          priceMinor: one.part.priceMinor + other.part.priceMinor,
          days: Math.max(one.part.days, other.part.days),
        },
      ];
    }),
  );
  return pairs
    .sort(
      (one, other) =>
        FITS.indexOf(one.fit) - FITS.indexOf(other.fit) ||
        one.priceMinor - other.priceMinor ||
        one.days - other.days ||
        (one.parts[0].id < other.parts[0].id ? -1 : 1),
    )
    .slice(0, MOST_PAIRS);
}
