// Ways to choose the next move, ours and the three it is held against.

import { trialCost } from "@/core/cost/trial-cost";
import { answersOf, after as branch, trialsOf, type Weights } from "@/core/isolation/field";
import { limitOf } from "@/core/knowledge/resolve-limits";
import { type Bench, GIVE_UP, priceOf, type Search } from "./machine";

/** The move to make, or nothing when the search stops. */
export type Policy = (bench: Bench, search: Search) => number | undefined;

const limit = ({ limits }: Bench, id: string): number => limitOf(limits, id).value;

interface Rated {
  readonly index: number;
  readonly total: number;
  readonly minutes: number;
}

function open(bench: Bench, search: Search): number[] {
  return [...bench.model.moves.keys()].filter((index) => !search.asked.has(index));
}

function worthIn(bench: Bench, search: Search): { readonly rated: Rated[]; readonly tryNow: number } {
  const tryNow = trialCost(trialsOf(search.field, search.now), GIVE_UP);
  const rated = open(bench, search).flatMap((index): Rated[] => {
    const move = bench.model.moves[index];
    if (!move) return [];
    const price = priceOf(bench, move, search.standing);
    const { tryAfter } = answersOf(search.field, search.now, index, GIVE_UP);
    const total = price + tryAfter.reduce((sum, one) => sum + one, 0);
    return tryNow - total > limit(bench, "least-move-worth") * tryNow
      ? [{ index, total, minutes: price }]
      : [];
  });
  return { rated, tryNow };
}

/** The lowest tier that has a move worth making. */
function lowestTier(bench: Bench, rated: readonly Rated[]): Rated[] {
  const tierOf = ({ index }: Rated): number => bench.model.moves[index]?.tier ?? 1;
  const lowest = Math.min(...rated.map(tierOf));
  return rated.filter((one) => tierOf(one) === lowest);
}

/**
 * Ours, one step ahead: least expected total; of those that differ by less than the near share, the one that saves most
 * for each minute.
 */
export const ours =
  (share?: number): Policy =>
  (bench, search) => {
    const near = share ?? limit(bench, "near-tie-share");
    const { rated: worth, tryNow } = worthIn(bench, search);
    const rated = lowestTier(bench, worth);
    if (rated.length === 0) return undefined;
    const saves = ({ total, minutes }: Rated): number => (tryNow - total) / minutes;
    const least = Math.min(...rated.map(({ total }) => total));
    return rated
      .filter(({ total }) => total <= least * (1 + near))
      .sort((one, other) => saves(other) - saves(one))[0]?.index;
  };

/** Chance of the likeliest repair group. */
function sureness({ field, now }: Search): number {
  return Math.max(0, ...trialsOf(field, now).map(({ chance }) => chance));
}

const stopping =
  (threshold: number, choose: (bench: Bench, search: Search) => number | undefined): Policy =>
  (bench, search) =>
    sureness(search) >= threshold ? undefined : choose(bench, search);

/** (a) The same list for every machine, from the supply to the load, a look before a measurement, live last. */
export const checklist = (threshold: number): Policy =>
  stopping(threshold, (bench, search) => {
    const order = new Map(bench.knowledge.stations.map(({ id, order: at }) => [id, at]));
    const placeOf = (index: number): number => {
      const move = bench.model.moves[index];
      const proved = bench.model.hypotheses.faults.filter(({ provenBy }) =>
        provenBy.some(({ moveId }) => moveId === move?.id),
      );
      const at = Math.min(50, ...proved.map(({ station }) => order.get(station) ?? 50));
      return (move?.tier ?? 1) * 1000 + at * 10 + (move?.minutes ?? 0) / 100;
    };
    return open(bench, search).sort((one, other) => placeOf(one) - placeOf(other))[0];
  });

/** (b) The cheapest first. */
export const cheapest = (threshold: number): Policy =>
  stopping(threshold, (bench, search) => {
    const price = (index: number): number => {
      const move = bench.model.moves[index];
      return move ? priceOf(bench, move, search.standing) : Number.POSITIVE_INFINITY;
    };
    return open(bench, search).sort((one, other) => price(one) - price(other))[0];
  });

function entropy(groups: number, group: Int32Array, { of, total }: Weights): number {
  const sums = new Float64Array(groups);
  for (let place = 0; place < of.length; place += 1) {
    const at = group[place] ?? 0;
    sums[at] = (sums[at] ?? 0) + (of[place] ?? 0);
  }
  return sums.reduce((sum, one) => (one > 0 ? sum - (one / total) * Math.log2(one / total) : sum), 0);
}

function mostInformation(bench: Bench, search: Search, among: readonly number[]): number | undefined {
  const { field, now } = search;
  const before = entropy(field.groups, field.group, now);
  const gain = (index: number): number => {
    const move = bench.model.moves[index];
    if (!move) return 0;
    const { chance } = answersOf(field, now, index, GIVE_UP);
    let left = 0;
    chance.forEach((share, outcome) => {
      if (share > 0) left += share * entropy(field.groups, field.group, branch(field, now, index, outcome));
    });
    return (before - left) / Math.max(1, priceOf(bench, move, search.standing));
  };
  return [...among]
    .map((index) => [gain(index), index] as const)
    .sort((one, other) => other[0] - one[0])[0]?.[1];
}

/** (c) The most information a minute. */
export const information = (threshold: number): Policy =>
  stopping(threshold, (bench, search) => mostInformation(bench, search, open(bench, search)));

/** (c) with our stop rule: the same choice among what our rule still finds worth making. */
export const informationOurStop: Policy = (bench, search) => {
  const rated = lowestTier(bench, worthIn(bench, search).rated);
  return rated.length === 0
    ? undefined
    : mostInformation(
        bench,
        search,
        rated.map(({ index }) => index),
      );
};
