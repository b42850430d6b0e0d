import { LEAST_CURE } from "../cost/trial-cost";
import { type Action, type ActionKind, type DecisionCase, type EndId, MOTOR } from "./action";
import { type Flip, flipsOf, nearestFlip, type Slider } from "./break-even";
import { bestPlan, candidates } from "./candidates";
import { type Ceiling, withinCeiling } from "./ceiling";
import { hindsightCost } from "./hindsight";
import { walk } from "./plan";
import { type Look, lookFirst, type Route, type RouteId, routeOf } from "./routes";
import { isEnd, type Opinion, opinions } from "./schools";
import { slidersOf } from "./sliders";

/** Held until something is due anyway: the same case with what that changes, and the days until then. */
export interface Hold {
  readonly days: number;
  readonly options: DecisionCase;
}

/** What the decision may take into account beside the case. */
export interface Around {
  readonly look?: Look | undefined;
  readonly hold?: Hold | undefined;
  readonly ceiling?: Ceiling | undefined;
}

export interface Decision {
  /** Best first, which is the cheapest but for a look that hardly saves; at least one of them always ends it. */
  readonly routes: readonly Route[];
  readonly best: Route;
  /**
   * What the best is held against: the route that comes second; where it is an end, the cheapest way to mend. The best
   * itself where there is no other.
   */
  readonly next: Route;
  readonly opinions: readonly Opinion[];
  readonly agree: boolean;
  /** The cheapest that the owner's ceiling lets through; null where it lets none, undefined where there is no ceiling. */
  readonly underCeiling: Route | null | undefined;
  /** What it would cost if the cause were known. */
  readonly hindsight: number;
}

/** A figure that can be moved, and where the answer flips. */
export interface Notched extends Omit<Slider, "at"> {
  readonly flips: readonly Flip[];
  readonly nearest: Flip | undefined;
}

/** Of routes that cost the same, one that mends comes first: what is thrown away is gone. */
function inOrder(routes: readonly Route[]): Route[] {
  return [...routes].sort((one, other) => {
    const gain = one.mean - other.mean;
    return Math.abs(gain) > 1e-6 ? gain : Number(isEnd(one)) - Number(isEnd(other));
  });
}

function heldRoute({ days, options }: Hold, dayMinor: number): Route | undefined {
  const [best] = candidates(options).filter((one) => !isEnd(one));
  if (!best) return undefined;
  const route = routeOf(best.id, best.plan, options);
  const waiting = days * dayMinor;
  return {
    ...route,
    id: "hold",
    holdDays: days,
    waiting: route.waiting + waiting,
    mean: route.mean + waiting,
    low: route.low + waiting,
    high: route.high + waiting,
    perYear: route.perYear === null ? null : route.perYear * (1 + waiting / Math.max(route.mean, 1e-9)),
  };
}

/** A look that hardly saves anything stands behind what would be done without it. */
function withLook(routes: readonly Route[], look: Route, leastSaved: number): Route[] {
  const [first] = routes;
  if (!first || first.mean - look.mean >= leastSaved) return inOrder([look, ...routes]);
  const [head, ...rest] = routes;
  return head ? [head, ...inOrder([look, ...rest])] : [look];
}

/** What to do about the machine: its routes by expected cost, what the schools say, and what knowing would be worth. */
export function decide(options: DecisionCase, around: Around = {}): Decision {
  const all = candidates(options);
  const found = all.map(({ id, plan }) => routeOf(id, plan, options));
  const look = around.look && lookFirst(around.look, bestPlan);
  const held = around.hold && heldRoute(around.hold, options.dayMinor);
  const done = inOrder([...found, ...(held ? [held] : [])]);
  const routes = look ? withLook(done, look, around.look?.leastSaved ?? 0) : done;
  const [best = routeOf("replace", { refs: [], end: "replace" }, options)] = routes;
  const said = opinions(routes, options);
  const chosen = new Set(said.flatMap(({ route }) => route ?? []));
  const { ceiling } = around;
  return {
    routes,
    best,
    next: (isEnd(best) ? routes.find((route) => !isEnd(route)) : undefined) ?? routes[1] ?? best,
    opinions: said,
    agree: chosen.size <= 1,
    underCeiling: ceiling && withinCeiling(all, options, ceiling),
    hindsight: hindsightCost(options),
  };
}

/** Share of a slider's reach that counts as its end. */
const AT_THE_END = 0.005;

/** Figures that were moved, by slider. */
export type Moved = Readonly<Partial<Record<Slider["id"], number>>>;

/**
 * The case with figures moved.
 * @param first what the price and the chance are of: a slider goes on speaking of the same part
 */
export function withMoved(options: DecisionCase, moved: Moved, first = firstAction(options)): DecisionCase {
  let now = options;
  for (const id of ["rate", "machine", "chance", "price"] as const) {
    const value = moved[id];
    if (value !== undefined)
      now =
        slidersOf(now, first)
          .find((slider) => slider.id === id)
          ?.at(value) ?? now;
  }
  return now;
}

/** What is done first where nothing was moved: what the sliders speak of. */
export function firstAction(options: DecisionCase): Action | undefined {
  const [cheapest] = candidates(options);
  return cheapest && walk(cheapest.plan, options).steps[0]?.action;
}

/**
 * The figures that drive the answer, each with the values at which it flips.
 * @param first what the price and the chance are of
 */
export function notchesOf(options: DecisionCase, first = firstAction(options)): readonly Notched[] {
  return slidersOf(options, first).map((slider) => {
    // Nobody stands at the very end of a slider: a notch there is none.
    const least = slider.from + AT_THE_END * (slider.to - slider.from);
    const flips = flipsOf(slider).filter(({ at }) => at >= least);
    const { at: _at, ...rest } = slider;
    return { ...rest, flips, nearest: nearestFlip(flips, slider.now) };
  });
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

/** Repairs that only change the consequence: the fuse that a seized bearing opened. They are refused, whatever they cost. */
export function refusedRepairs(
  leading: Leading | undefined,
  trials: readonly { readonly repairs: readonly string[]; readonly cures: number }[],
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

/** Routes that buy nothing here. */
const BUYS_NOTHING: ReadonlySet<RouteId> = new Set<RouteId>(["measure", "retest", "trade", "stop"]);
/** Actions and ends that condemn a motor or the machine. */
const CONDEMNS: ReadonlySet<string> = new Set<ActionKind | EndId>([
  "motor",
  "donor-motor",
  "assembly",
  "replace",
  "second-hand",
]);

/** What a route buys before anything is tried. */
export interface FirstBuy {
  readonly id: RouteId;
  /** Kind of its first step; undefined where it has none. */
  readonly kind: ActionKind | undefined;
  readonly repairs: readonly string[];
  readonly cashMinor: number;
}

/** Whether a route condemns, or buys so much before anything is proved, that it must wait for a direct proof. */
export function needsProof(
  { id, kind, repairs, cashMinor }: FirstBuy,
  machineMinor: number,
  share: number,
): boolean {
  if (BUYS_NOTHING.has(id)) return false;
  // A motor is condemned by whatever name it is fitted: as a part, out of a donor, or first.
  if (CONDEMNS.has(kind ?? id) || repairs.includes(MOTOR)) return true;
  return cashMinor > share * machineMinor;
}

/** What would be asked of a route before it is taken. */
export function firstBuyOf({ id, steps }: Pick<Route, "id" | "steps">): FirstBuy {
  const action = steps[0]?.action;
  return { id, kind: action?.kind, repairs: action?.repairs ?? [], cashMinor: action?.cash.likely ?? 0 };
}
