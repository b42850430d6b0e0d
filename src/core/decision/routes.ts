import { type Trial, trialPlan } from "../cost/trial-cost";

export type RouteId = "part" | "then-motor" | "motor" | "replace";

/** A repair that could be tried, as isolation hands it over. Costs in minor units, unrounded. */
export interface DecisionTrial extends Trial {
  readonly repairs: readonly string[];
  readonly minutes: number;
  readonly partMinor: number;
}

/** All that the decision stands on. */
export interface DecisionCase {
  readonly trials: readonly DecisionTrial[];
  /** Price of another machine: what giving up costs. */
  readonly machineMinor: number;
  readonly minuteMinor: number;
  readonly motor: { readonly minutes: number; readonly partMinor: number; readonly success: number };
  /** Repairs that another motor makes needless. */
  readonly inMotor: ReadonlySet<string>;
  /** Minutes and part of a single repair. */
  readonly repairOf: (id: string) => { readonly minutes: number; readonly partMinor: number };
}

export interface Route {
  readonly id: RouteId;
  /** What is done, in order, until it runs; giving up at the end is not in it. */
  readonly steps: readonly DecisionTrial[];
  /** Expected cost, and of it the parts and machines bought; the rest is time. */
  readonly mean: number;
  readonly cash: number;
  /** Costs that are exceeded in nine and in one of ten such cases. */
  readonly low: number;
  readonly high: number;
  /** Chance that the first step does not end it. */
  readonly wrong: number;
  /** Chance that none of its steps does, and another machine is bought after all. */
  readonly givesUp: number;
}

interface Ending {
  readonly cost: number;
  readonly chance: number;
}

/** Every way a route can end: cured after a step, or another machine in the end. */
function endings(steps: readonly DecisionTrial[], machineMinor: number): Ending[] {
  let spent = 0;
  let stillWrong = 1;
  const all: Ending[] = [];
  for (const { cost, cures } of steps) {
    spent += cost;
    all.push({ cost: spent, chance: Math.min(cures, stillWrong) });
    stillWrong = Math.max(0, stillWrong - cures);
  }
  return [...all, { cost: spent + machineMinor, chance: stillWrong }];
}

/** The least cost that is not exceeded with a chance of `share`. */
function quantile(all: readonly Ending[], share: number): number {
  const inOrder = [...all].sort((one, other) => one.cost - other.cost);
  let sum = 0;
  for (const { cost, chance } of inOrder) {
    sum += chance;
    if (sum >= share - 1e-12) return cost;
  }
  return inOrder.at(-1)?.cost ?? 0;
}

export function routeOf(id: RouteId, steps: readonly DecisionTrial[], machineMinor: number): Route {
  const all = endings(steps, machineMinor);
  let stillWrong = 1;
  let cash = 0;
  for (const { partMinor, cures } of steps) {
    cash += stillWrong * partMinor;
    stillWrong = Math.max(0, stillWrong - cures);
  }
  return {
    id,
    steps,
    mean: all.reduce((sum, { cost, chance }) => sum + cost * chance, 0),
    cash: cash + stillWrong * machineMinor,
    low: quantile(all, 0.1),
    high: quantile(all, 0.9),
    wrong: steps[0] ? 1 - steps[0].cures : 0,
    givesUp: steps.length > 0 ? stillWrong : 0,
  };
}

/** What is left to try when another motor has been fitted: the repairs outside it. */
function outsideMotor({ trials, inMotor, repairOf, minuteMinor }: DecisionCase): {
  readonly cured: number;
  readonly rest: readonly DecisionTrial[];
} {
  let cured = 0;
  const rest = new Map<string, DecisionTrial>();
  for (const trial of trials) {
    const outside = trial.repairs.filter((id) => !inMotor.has(id));
    if (outside.length === 0) {
      cured += trial.cures;
      continue;
    }
    const key = outside.join(",");
    const sums = outside.map(repairOf);
    const minutes = sums.reduce((sum, one) => sum + one.minutes, 0);
    const partMinor = sums.reduce((sum, one) => sum + one.partMinor, 0);
    rest.set(key, {
      repairs: outside,
      minutes,
      partMinor,
      cost: minutes * minuteMinor + partMinor,
      cures: (rest.get(key)?.cures ?? 0) + trial.cures,
    });
  }
  return { cured, rest: [...rest.values()] };
}

/** Another motor, and the chance that what is left to cure lies in it. */
export function motorStep(options: DecisionCase): DecisionTrial {
  const { motor, minuteMinor } = options;
  return {
    repairs: ["fit-motor"],
    minutes: motor.minutes,
    partMinor: motor.partMinor,
    cost: motor.minutes * minuteMinor + motor.partMinor,
    cures: Math.min(1, outsideMotor(options).cured) * motor.success,
  };
}

/** What another motor leaves to try. */
export const stillToTry = (options: DecisionCase): readonly DecisionTrial[] => outsideMotor(options).rest;

function motorRoute(options: DecisionCase): Route {
  const first = motorStep(options);
  const { made } = trialPlan(stillToTry(options), options.machineMinor, 1 - first.cures);
  return routeOf("motor", [first, ...made], options.machineMinor);
}

/** The routes that always are: repairs in the order of chance ÷ cost, another motor first, another machine at once. */
export function routes(options: DecisionCase): Readonly<Record<Exclude<RouteId, "then-motor">, Route>> {
  const { made } = trialPlan(options.trials, options.machineMinor);
  return {
    part: routeOf("part", made, options.machineMinor),
    motor: motorRoute(options),
    replace: routeOf("replace", [], options.machineMinor),
  };
}
