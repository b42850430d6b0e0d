/** A repair with less chance than this of being the cure is none. Share. */
export const LEAST_CURE = 0.05;

/** A repair that could be tried: what it costs and the chance that it is the one that cures. */
export interface Trial {
  /** Time at the ranking price and parts, minor units, unrounded. */
  readonly cost: number;
  /** Chance that this is what is wrong, times the chance that the repair cures it. */
  readonly cures: number;
}

/** The trials that are worth making, in order, and what that comes to. */
export interface TrialPlan<T extends Trial> {
  readonly made: readonly T[];
  /** Chance that it is still wrong after them. */
  readonly stillWrong: number;
  /** Expected cost, giving up included, minor units. */
  readonly expected: number;
}

/**
 * The cheapest way of trying repairs until one cures, when giving up costs `giveUp`: in the order of chance ÷ cost, down
 * to the one after which giving up is cheaper. No other order or choice of trials costs less on average.
 * @param startWrong chance that it is still wrong before the first of them
 */
export function trialPlan<T extends Trial>(
  trials: readonly T[],
  giveUp: number,
  startWrong = 1,
): TrialPlan<T> {
  const inOrder = [...trials].sort((one, other) => other.cures / other.cost - one.cures / one.cost);
  let best = { count: 0, stillWrong: startWrong, expected: startWrong * giveUp };
  let spent = 0;
  let wrong = startWrong;
  for (const [index, { cost, cures }] of inOrder.entries()) {
    spent += wrong * cost;
    wrong = Math.max(0, wrong - cures);
    const expected = spent + wrong * giveUp;
    if (expected < best.expected) best = { count: index + 1, stillWrong: wrong, expected };
  }
  const { count, stillWrong, expected } = best;
  return { made: inOrder.slice(0, count), stillWrong, expected };
}

/**
 * Price of giving up below which no trial is worth making: the least cost for each unit of chance over all ways to begin.
 * For a single trial that is cost ÷ chance. Infinite where nothing could cure.
 */
export function leastWorthTrying(trials: readonly Trial[]): number {
  const inOrder = [...trials].sort((one, other) => other.cures / other.cost - one.cures / one.cost);
  let least = Number.POSITIVE_INFINITY;
  let spent = 0;
  let cured = 0;
  for (const { cost, cures } of inOrder) {
    spent += (1 - cured) * cost;
    cured += cures;
    if (cured > 0) least = Math.min(least, spent / cured);
  }
  return least;
}

/** Expected cost of trying repairs: the one figure for "fit it now", here and in the decision. Minor units, unrounded. */
export function trialCost(trials: readonly Trial[], giveUp: number): number {
  return trialPlan(trials, giveUp).expected;
}

/**
 * The same over plain arrays, for the look-ahead, which asks it some hundred times an answer. The first `count` places
 * are read; `worth` and `order` are written.
 */
export function trialCostOf(
  cost: Float64Array,
  cures: Float64Array,
  worth: Float64Array,
  order: Int32Array,
  count: number,
  giveUp: number,
): number {
  let least = 1;
  for (let place = 0; place < count; place += 1) least -= cures[place] ?? 0;
  // A trial whose chance for its cost lies below this can never bring the sum down, and none after it can.
  const worthFrom = Math.max(0, least) / giveUp;
  let kept = 0;
  for (let place = 0; place < count; place += 1) {
    const own = (cures[place] ?? 0) / (cost[place] ?? 1);
    if (own <= worthFrom) continue;
    // Kept in order as they come: few are left.
    let at = kept;
    while (at > 0 && (worth[at - 1] ?? 0) < own) {
      worth[at] = worth[at - 1] ?? 0;
      order[at] = order[at - 1] ?? 0;
      at -= 1;
    }
    worth[at] = own;
    order[at] = place;
    kept += 1;
  }
  let best = giveUp;
  let spent = 0;
  let wrong = 1;
  for (let place = 0; place < kept; place += 1) {
    const at = order[place] ?? 0;
    spent += wrong * (cost[at] ?? 0);
    if (spent >= best) break;
    wrong = Math.max(0, wrong - (cures[at] ?? 0));
    const expected = spent + wrong * giveUp;
    if (expected < best) best = expected;
  }
  return best;
}
