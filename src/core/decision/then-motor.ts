import { trialPlan } from "../cost/trial-cost";
import { type DecisionCase, type DecisionTrial, motorStep, type Route, routeOf, stillToTry } from "./routes";

/** Of the repairs those with the most chance for their cost are tried before a motor: their sets are weighed, and eight make 256. */
const MOST_BEFORE = 8;

const worth = ({ cures, cost }: DecisionTrial): number => cures / cost;

/** Every set of some rows, each in their order. */
function* setsOf<T>(rows: readonly T[]): Generator<readonly T[]> {
  for (let bits = 0; bits < 2 ** rows.length; bits += 1) yield rows.filter((_, index) => (bits >> index) & 1);
}

/**
 * The cheapest way that tries repairs first and fits another motor if none of them helps, and then what a motor does not
 * cure: over every set of repairs before it. Within a set no order is cheaper than that of chance ÷ cost.
 * @returns undefined where there is no repair to try before a motor
 */
export function thenMotorRoute(options: DecisionCase): Route | undefined {
  const { trials, machineMinor } = options;
  const first = [...trials].sort((one, other) => worth(other) - worth(one)).slice(0, MOST_BEFORE);
  let best: Route | undefined;
  for (const before of setsOf(first)) {
    if (before.length === 0) continue;
    const left = { ...options, trials: trials.filter((trial) => !before.includes(trial)) };
    const motor = motorStep(left);
    const wrong = before.reduce((sum, { cures }) => sum - cures, 1) - motor.cures;
    const { made } = trialPlan(stillToTry(left), machineMinor, Math.max(0, wrong));
    const route = routeOf("then-motor", [...before, motor, ...made], machineMinor);
    if (!best || route.mean < best.mean) best = route;
  }
  return best;
}
