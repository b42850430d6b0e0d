import { cheapestEnd, type DecisionCase, endCost } from "./action";
import { bestPlan } from "./candidates";
import { walk } from "./plan";

/**
 * What it would cost on average if the cause were known before anything is done: for each cause the cheapest plan for it
 * alone, and the end where nothing here would cure. No route costs less; what the best costs above it is what knowing is worth.
 */
export function hindsightCost(options: DecisionCase): number {
  const giveUp = endCost(cheapestEnd(options), options);
  let known = 0;
  let sum = 0;
  for (const cause of options.causes) {
    if (cause.chance <= 0) continue;
    const alone: DecisionCase = { ...options, causes: [{ ...cause, chance: 1 }] };
    known += cause.chance;
    sum += cause.chance * walk(bestPlan(alone), alone).mean;
  }
  return sum + Math.max(0, 1 - known) * giveUp;
}
