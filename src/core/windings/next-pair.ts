import { expectedBetween, type LeadGroup, type LeadMap, type PairShown } from "./lead-map";

/** The reading that tells most of what is still open. */
export interface NextPair {
  readonly a: number;
  readonly b: number;
  /** `apart`: whether two groups are one; `decides`: which network it is; `again`: a reading that does not fit; `finer`: on a range with a smaller error. */
  readonly why: "apart" | "decides" | "again" | "finer";
  /** What each network lets expect, ohms, the likeliest first, each value once. */
  readonly values: readonly number[];
}

interface Meter {
  /** Limit of error at so many ohms. */
  errorAt(ohms: number): number;
}

interface Span {
  readonly lower: number;
  readonly upper: number;
}

/** How many of the networks would be left after reading this pair, on average over which of them is the true one. */
function leftAfter(spans: readonly Span[]): number {
  let left = 0;
  for (const one of spans)
    left += spans.filter((other) => one.lower <= other.upper && other.lower <= one.upper).length;
  return left / spans.length;
}

function spansOf({ networks }: LeadGroup, a: number, b: number, { errorAt }: Meter, share: number): Span[] {
  return networks.map((network) => {
    const expected = expectedBetween(network, a, b);
    if (!expected) return { lower: 0, upper: Number.POSITIVE_INFINITY };
    const halfWidth = share * (expected.halfWidth + errorAt(expected.ohms));
    return { lower: expected.ohms - halfWidth, upper: expected.ohms + halfWidth };
  });
}

function valuesOf({ networks }: LeadGroup, a: number, b: number, { errorAt }: Meter): number[] {
  const values: number[] = [];
  for (const network of networks) {
    const expected = expectedBetween(network, a, b);
    if (!expected || !Number.isFinite(expected.halfWidth)) continue;
    if (values.every((one) => Math.abs(one - expected.ohms) > errorAt(one))) values.push(expected.ohms);
  }
  return values.slice(0, 3);
}

interface Rated {
  readonly a: number;
  readonly b: number;
  readonly left: number;
}

function best(
  group: LeadGroup,
  pairs: readonly Pick<Rated, "a" | "b">[],
  meter: Meter,
  share: number,
): Rated | undefined {
  const rated = pairs.map(({ a, b }) => ({ a, b, left: leftAfter(spansOf(group, a, b, meter, share)) }));
  return rated.reduce<Rated | undefined>(
    (least, one) => (least && least.left <= one.left ? least : one),
    undefined,
  );
}

/** Pairs of a group's own nodes; of leads that read as one the first stands for all. */
function pairsWithin({ leads, joined }: LeadGroup): { a: number; b: number }[] {
  const later = new Set(joined.flatMap((set) => set.slice(1)));
  const nodes = leads.filter((lead) => !later.has(lead));
  return nodes.flatMap((a, index) => nodes.slice(index + 1).map((b) => ({ a, b })));
}

const isRead = (shown: readonly PairShown[], a: number, b: number): boolean =>
  shown.some((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a));

/** Share of the error that a range ten times finer leaves. */
const FINER = 0.1;

/** A reading not yet taken that parts the networks that fit. */
function deciding(group: LeadGroup, shown: readonly PairShown[], meter: Meter): NextPair | undefined {
  const untaken = pairsWithin(group).filter(({ a, b }) => !isRead(shown, a, b));
  const found = best(group, untaken, meter, 1);
  if (!found || found.left >= group.networks.length - 1e-9) return undefined;
  return { a: found.a, b: found.b, why: "decides", values: valuesOf(group, found.a, found.b, meter) };
}

/** One that was taken, again: over range inside a group, the one without which the rest fits, one that cannot be. */
function again({ openInside, misfits, impossible }: LeadGroup): NextPair | undefined {
  const [open] = openInside;
  if (open)
    return { a: open.a, b: open.b, why: "again", values: open.should === undefined ? [] : [open.should] };
  const [misfit] = misfits;
  if (misfit)
    return {
      a: misfit.a,
      b: misfit.b,
      why: "again",
      values: misfit.should.slice(0, 3).map(({ ohms }) => ohms),
    };
  return impossible ? { a: impossible.a, b: impossible.b, why: "again", values: [] } : undefined;
}

function finer(group: LeadGroup, meter: Meter): NextPair | undefined {
  const found = best(group, pairsWithin(group), meter, FINER);
  if (!found || found.left >= group.networks.length - 1e-9) return undefined;
  return { a: found.a, b: found.b, why: "finer", values: valuesOf(group, found.a, found.b, meter) };
}

function inGroup(group: LeadGroup, shown: readonly PairShown[], meter: Meter): NextPair | undefined {
  const several = group.networks.length > 1;
  return (
    (several ? deciding(group, shown, meter) : undefined) ??
    again(group) ??
    (several ? finer(group, meter) : undefined)
  );
}

/** What to read next: what parts the networks that still fit, what does not fit again, then whether groups are apart. */
export function nextPair(map: LeadMap, shown: readonly PairShown[], meter: Meter): NextPair | undefined {
  for (const group of map.groups) {
    const next = inGroup(group, shown, meter);
    if (next) return next;
  }
  const [first] = map.unproven;
  if (!first) return undefined;
  const [one, other] = first.map((group) => map.groups[group]?.leads[0]);
  return one === undefined || other === undefined
    ? undefined
    : { a: one, b: other, why: "apart", values: [] };
}
