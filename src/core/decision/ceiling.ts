import type { DecisionCase } from "./action";
import type { Candidate } from "./candidates";
import { walk } from "./plan";
import { type Route, routeOf } from "./routes";
import { isEnd } from "./schools";

/** What the owner does not want to be passed without being asked, and what a minute is charged at. Minor units. */
export interface Ceiling {
  readonly minor: number;
  readonly minuteMinor: number;
}

/**
 * The cheapest way to mend that stays under the owner's ceiling: of every plan as many steps as their bill allows, and
 * then it ends. The end itself is the owner's own money.
 * @returns null where not even one first step fits: the owner is asked, or it is stopped
 */
export function withinCeiling(
  all: readonly Candidate[],
  options: DecisionCase,
  { minor, minuteMinor }: Ceiling,
): Route | null {
  let best: Route | null = null;
  for (const { id, plan } of all) {
    if (isEnd({ id })) continue;
    let spent = 0;
    let count = 0;
    for (const { action } of walk(plan, options).steps) {
      spent += action.cash.likely + action.minutes.likely * minuteMinor;
      if (spent > minor) break;
      count += 1;
    }
    if (count === 0) continue;
    const route = routeOf(id, { ...plan, refs: plan.refs.slice(0, count) }, options);
    if (!best || route.mean < best.mean - 1e-9) best = route;
  }
  return best;
}
