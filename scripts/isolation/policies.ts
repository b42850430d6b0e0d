// Ways to choose the next move: ours, as the program itself advises, and the three it is held against.

import { trialCost } from "@/core/cost/trial-cost";
import { answersOf, bitsAfter, bitsNow } from "@/core/isolation/answers";
import { type Field, fieldOf, trialsOf, type Weights } from "@/core/isolation/field";
import { adviseMoves, type MoveAdvice } from "@/core/isolation/next-move";
import { type Bench, GIVE_UP, priceOf, RATE, type Search, trialsIn } from "./machine";

/** The move to make, or nothing when the search stops. It hangs on what was heard, never on what is hidden. */
export type Policy = (bench: Bench, search: Search) => number | undefined;

/** The same choice for the same answers: what was worked out once is kept. */
export function remembered(policy: Policy): Policy {
  const kept = new Map<string, number | undefined>();
  return (bench, search) => {
    if (kept.has(search.path)) return kept.get(search.path);
    const chosen = policy(bench, search);
    kept.set(search.path, chosen);
    return chosen;
  };
}

export function advice(bench: Bench, search: Search, lookAhead: 1 | 2): MoveAdvice {
  const { model, knowledge, parameters } = bench;
  const asked = new Set([...search.asked].map((index) => model.moves[index]?.id ?? ""));
  return adviseMoves(model, search.belief, asked, {
    parameters,
    access: knowledge.access,
    repairs: knowledge.repairs,
    prices: {},
    machineState: search.machineState,
    circumstance: "cold",
    rankingRatePerHourMinor: RATE,
    giveUp: GIVE_UP,
    lookAhead,
    blocksOf: () => [],
  });
}

/** Ours: the first move that the program advises, so many steps ahead. */
export const ours = (lookAhead: 1 | 2): Policy =>
  remembered((bench, search) => {
    const first = advice(bench, search, lookAhead).moves[0];
    return first && bench.model.moves.findIndex(({ id }) => id === first.moveId);
  });

function open(bench: Bench, search: Search): number[] {
  return [...bench.model.moves.keys()].filter((index) => !search.asked.has(index));
}

/** Chance of the likeliest repair. */
export function sureness(bench: Bench, { belief }: Search): number {
  return Math.max(0, ...trialsIn(bench, belief).map(({ chance }) => chance));
}

/** (a) The same list for every machine, from the supply to the load, a look before a measurement, live last. */
export function checklist(bench: Bench): Policy {
  const order = new Map(bench.knowledge.stations.map(({ id, order: at }) => [id, at]));
  const placeOf = (index: number): number => {
    const move = bench.model.moves[index];
    const proved = bench.model.hypotheses.faults.filter(({ provenBy }) =>
      provenBy.some(({ moveId }) => moveId === move?.id),
    );
    const at = Math.min(50, ...proved.map(({ station }) => order.get(station) ?? 50));
    return (move?.tier ?? 1) * 1000 + at * 10 + (move?.minutes ?? 0) / 100;
  };
  const list = [...bench.model.moves.keys()].sort((one, other) => placeOf(one) - placeOf(other));
  return (_, search) => list.find((index) => !search.asked.has(index));
}

/** (b) The cheapest first. */
export const cheapest: Policy = (bench, search) => {
  const price = (index: number): number => {
    const move = bench.model.moves[index];
    return move ? priceOf(bench, move, search.machineState) : Number.POSITIVE_INFINITY;
  };
  return open(bench, search).sort((one, other) => price(one) - price(other))[0];
};

interface Laid {
  readonly field: Field;
  readonly now: Weights;
}

const laidOut = ({ model, groups }: Bench, { belief }: Search): Laid =>
  fieldOf(model, belief, groups, "cold");

function mostInformation(
  bench: Bench,
  search: Search,
  laid: Laid,
  among: readonly number[],
): number | undefined {
  const { field, now } = laid;
  const before = bitsNow(field, now);
  const gain = (index: number): number => {
    const move = bench.model.moves[index];
    if (!move) return 0;
    return (before - bitsAfter(field, now, index)) / Math.max(1, priceOf(bench, move, search.machineState));
  };
  return [...among]
    .map((index) => [gain(index), index] as const)
    .sort((one, other) => other[0] - one[0])[0]?.[1];
}

/** (c) The most information a minute. */
export const information: Policy = (bench, search) =>
  mostInformation(bench, search, laidOut(bench, search), open(bench, search));

/** (c) with our stop rule: the same choice among what our rule still finds worth making, unplugged before live. */
export const informationOurStop: Policy = (bench, search) => {
  const laid = laidOut(bench, search);
  const tryNow = trialCost(trialsOf(laid.field, laid.now), GIVE_UP);
  const least = bench.parameters["least-move-worth"] * tryNow;
  const worth = open(bench, search).filter((index) => {
    const move = bench.model.moves[index];
    if (!move) return false;
    const { tryAfter } = answersOf(laid.field, laid.now, index, GIVE_UP);
    const total = priceOf(bench, move, search.machineState) + tryAfter.reduce((sum, one) => sum + one, 0);
    return tryNow - total > least;
  });
  const tierOf = (index: number): number => bench.model.moves[index]?.tier ?? 1;
  const lowest = Math.min(...worth.map(tierOf));
  return mostInformation(
    bench,
    search,
    laid,
    worth.filter((index) => tierOf(index) === lowest),
  );
};
