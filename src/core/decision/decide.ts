import { LEAST_CURE, leastWorthTrying } from "../cost/trial-cost";
import { type DecisionCase, type Route, type RouteId, routes } from "./routes";
import { thenMotorRoute } from "./then-motor";

export interface Decision {
  /** Repairs first and then a motor stands among them only where that costs less than either alone. */
  readonly routes: Readonly<Record<Exclude<RouteId, "then-motor">, Route> & { "then-motor"?: Route }>;
  readonly best: Route;
  /** The route that comes second: what the best is held against. */
  readonly next: Route;
  /** Price of another machine below which no repair is worth trying; null where there is none to try. */
  readonly machineFlip: number | null;
  /**
   * Price of the first repair, time and part together, up to which trying repairs stays the cheapest route; null where
   * it is not the cheapest now, or where nothing it could cost changes that.
   */
  readonly firstRepairFlip: number | null;
  readonly refused: readonly RefusedRepair[];
}

/** A repair that would only change what the fault brought about. */
export interface RefusedRepair {
  readonly repair: string;
  readonly fault: string;
  /** What would bring it about again. */
  readonly root: string;
}

export interface Leading {
  readonly roots: readonly string[];
  readonly consequences: readonly string[];
}

const SEARCH_STEPS = 60;
/** A route that saves less than this is no other route. Minor units. */
const LEAST_GAIN = 1;
/** Routes that begin with a repair: no more than it is bought before it is tried. */
const BEGINS_WITH_REPAIR: ReadonlySet<RouteId> = new Set(["part", "then-motor"]);

/** Repairs that only change the consequence: the fuse that a seized bearing opened. They are refused, whatever they cost. */
export function refusedRepairs(
  leading: Leading | undefined,
  trials: DecisionCase["trials"],
  faults: readonly { readonly id: string; readonly fix: { readonly repair: string } }[],
): RefusedRepair[] {
  const root = leading?.roots[0];
  if (leading === undefined || root === undefined) return [];
  const repairOf = (fault: string): string | undefined => faults.find(({ id }) => id === fault)?.fix.repair;
  return leading.consequences.flatMap((fault) => {
    const repair = repairOf(fault);
    if (repair === undefined || leading.roots.some((one) => repairOf(one) === repair)) return [];
    const alone = trials.find(({ repairs }) => repairs.length === 1 && repairs[0] === repair);
    return (alone?.cures ?? 0) < LEAST_CURE ? [{ repair, fault, root }] : [];
  });
}

function withFirstAt(options: DecisionCase, first: Route["steps"][number], cost: number): DecisionCase {
  return {
    ...options,
    trials: options.trials.map((trial) => (trial === first ? { ...trial, cost } : trial)),
  };
}

/** Bisection on a mean that never falls as the price rises. */
function firstRepairFlip(options: DecisionCase, part: Route, others: number): number | null {
  const [first] = part.steps;
  if (!first || part.mean >= others) return null;
  const mean = (cost: number): number => routes(withFirstAt(options, first, cost)).part.mean;
  let [low, high] = [first.cost, first.cost + 2 * options.machineMinor];
  if (mean(high) < others) return null;
  for (let step = 0; step < SEARCH_STEPS; step += 1) {
    const middle = (low + high) / 2;
    if (mean(middle) < others) low = middle;
    else high = middle;
  }
  return low;
}

/** What to do about the machine: its routes by expected cost, and where the answer flips. A case without trials gives replacement. */
export function decide(
  options: DecisionCase,
  leading: Leading | undefined,
  faults: Parameters<typeof refusedRepairs>[2],
): Decision {
  const all = routes(options);
  const { part, motor, replace } = all;
  const mixed = thenMotorRoute(options);
  const isOwn = mixed !== undefined && mixed.mean < Math.min(part.mean, motor.mean) - LEAST_GAIN;
  const alone = part.steps.length > 0 ? [part, motor, replace] : [replace, motor];
  const open = isOwn ? [...alone, mixed] : alone;
  const inOrder = [...open].sort((one, other) => one.mean - other.mean);
  const [best = replace, next = motor] = inOrder;
  const least = leastWorthTrying(options.trials);
  return {
    routes: isOwn ? { part, "then-motor": mixed, motor, replace } : all,
    best,
    next,
    machineFlip: Number.isFinite(least) ? least : null,
    firstRepairFlip: isOwn ? null : firstRepairFlip(options, part, Math.min(motor.mean, replace.mean)),
    refused: refusedRepairs(leading, options.trials, faults),
  };
}

/** Whether a route buys so much before anything is proved that it must wait for a direct proof. */
export function needsProof(
  id: RouteId,
  first: { readonly partMinor: number } | undefined,
  machineMinor: number,
  share: number,
): boolean {
  return !BEGINS_WITH_REPAIR.has(id) || (first?.partMinor ?? 0) > share * machineMinor;
}
