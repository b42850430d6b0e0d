// One search from the owner's words to the repair, and many of them.

import { type Bench, begin, type Hidden, make, named, repair, type Search } from "./machine";
import { type Policy, sureness } from "./policies";

export const THRESHOLDS = [0.6, 0.7, 0.8, 0.9, 0.95] as const;
const MOST_MOVES = 25;

export interface Run {
  readonly cost: number;
  readonly moves: number;
  readonly minutes: number;
  readonly live: number;
  readonly first: string;
  readonly exact: boolean;
  readonly cure: boolean;
  readonly chance: number;
}

export function ended(bench: Bench, hidden: Hidden, search: Search): Run {
  return {
    cost: search.spent + repair(bench, hidden, search),
    moves: search.moves,
    minutes: search.minutes,
    live: search.liveMinutes,
    ...named(bench, hidden, search),
  };
}

/** A search that stops when its way of choosing has nothing left to offer. */
export function run(bench: Bench, hidden: Hidden, policy: Policy): Run {
  let search = begin(bench, hidden);
  while (search.moves < MOST_MOVES) {
    const next = policy(bench, search);
    if (next === undefined) break;
    search = make(bench, hidden, search, next);
  }
  return ended(bench, hidden, search);
}

/** The same search as it would have ended at each threshold: sure enough of one repair, or at the end of the list. */
export function runToThresholds(bench: Bench, hidden: Hidden, policy: Policy): readonly Run[] {
  let search = begin(bench, hidden);
  const runs: Run[] = [];
  const stop = (): Run => ended(bench, hidden, search);
  for (;;) {
    const sure = sureness(bench, search);
    while (runs.length < THRESHOLDS.length && sure >= (THRESHOLDS[runs.length] ?? 1)) runs.push(stop());
    const next =
      runs.length === THRESHOLDS.length || search.moves >= MOST_MOVES ? undefined : policy(bench, search);
    if (next === undefined) break;
    search = make(bench, hidden, search, next);
  }
  while (runs.length < THRESHOLDS.length) runs.push(stop());
  return runs;
}

export const mean = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
