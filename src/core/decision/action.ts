import type { WorkMinutes } from "../knowledge/kind-costs";
import type { Spread } from "./spread";

/** The repair that condemns a motor, by whatever name it is fitted. */
export const MOTOR = "fit-motor";

/** What kind of thing an action is: it gives the route its name. */
export type ActionKind =
  | "repair"
  /** Cleaned, adjusted, lubricated: no part bought. */
  | "easier"
  /** The same part out of a machine kept for parts. */
  | "donor"
  /** A part together with the one that is likely next. */
  | "pair"
  | "motor"
  | "donor-motor"
  | "assembly"
  /** Given back as it runs, with a day on which it is looked at again. */
  | "retest";

/** Minutes by what they go into: opening what is still closed, the work, closing it again, and the run that shows whether it helped. */
export interface StageMinutes extends WorkMinutes {
  readonly tests: number;
}

/** Something that can be done to the machine, with what it takes. Money in minor units. */
export interface Action {
  readonly id: string;
  readonly kind: ActionKind;
  readonly repairs: readonly string[];
  /** Parts with their mark-up, postage, tools that must be bought. */
  readonly cash: Spread;
  readonly minutes: Spread;
  readonly stages?: StageMinutes | undefined;
  /** Days until it can be done: each costs what a day without the machine costs. */
  readonly days: number;
  /** Years that the machine runs on when this cured it; those of the case where nothing is said. */
  readonly years?: number | undefined;
  /** What is likely to fail next costs so much more, or less, than otherwise, when this cured it. */
  readonly later?: number | undefined;
  /** Of the cash what a tool costs that must be bought for it. */
  readonly toolMinor?: number | undefined;
  /** Other actions whose parts it buys too: their prices are in its own. */
  readonly buys?: readonly string[] | undefined;
}

/** A way to deal with one cause, and the chance that it cures that cause. */
export interface Way extends Action {
  readonly success: number;
}

/** What may be wrong: a root, or several at once, with the ways to deal with it, the easier before the surer. */
export interface Cause {
  readonly id: string;
  readonly chance: number;
  readonly ways: readonly Way[];
}

/** What a swap leaves of a cause that it cures in part only. */
export interface LeftOver {
  readonly way: Way;
}

/** One action that deals with several causes at once: a motor, an assembly, a part with its neighbour. */
export interface Swap extends Action {
  readonly success: number;
  /** By cause: nothing is left of it, or this; a cause that is not named is not touched. */
  readonly leaves: ReadonlyMap<string, LeftOver | null>;
}

export type EndId = "replace" | "second-hand" | "trade" | "stop";

/** A way to end it without mending the machine here. */
export interface End {
  readonly id: EndId;
  readonly cash: Spread;
  readonly minutes: Spread;
  readonly days: number;
  /** Chance that it gives a machine that runs; where it does not, the surest end follows. */
  readonly success: number;
  readonly years: number;
  /** Its price stands for that of another machine, as nobody has said otherwise: it moves with it. */
  readonly likeMachine?: boolean | undefined;
}

/** All that a decision stands on. Money in minor units, unrounded; chances from 0 to 1. */
export interface DecisionCase {
  readonly causes: readonly Cause[];
  readonly swaps: readonly Swap[];
  /** At least one of them always ends it. */
  readonly ends: readonly End[];
  readonly minuteMinor: number;
  /** What a day without the machine costs. */
  readonly dayMinor: number;
  /** Years that the machine runs on when it is mended. */
  readonly years: number;
  /** Interest a year, a share. */
  readonly interest: number;
}

type Rates = Pick<DecisionCase, "minuteMinor" | "dayMinor">;
type Costs = Pick<Action, "cash" | "minutes" | "days">;

/** What an action costs on average. */
export function costOf({ cash, minutes, days }: Costs, { minuteMinor, dayMinor }: Rates): number {
  return cash.likely + minutes.likely * minuteMinor + days * dayMinor;
}

/** The end that never fails and costs least: what follows one that failed. */
export function sureEnd({ ends, ...rates }: Pick<DecisionCase, "ends"> & Rates): End {
  let best: End | undefined;
  for (const end of ends)
    if (end.success >= 1 && (!best || costOf(end, rates) < costOf(best, rates))) best = end;
  if (!best) throw new Error("a decision without an end that always ends it");
  return best;
}

/** What ending it in this way costs on average, the surest end included where it fails. */
export function endCost(end: End, options: Pick<DecisionCase, "ends"> & Rates): number {
  const own = costOf(end, options);
  return end.success >= 1 ? own : own + (1 - end.success) * costOf(sureEnd(options), options);
}

/** The cheapest way of giving up. */
export function cheapestEnd(options: Pick<DecisionCase, "ends"> & Rates): End {
  return options.ends.reduce(
    (best, end) => (endCost(end, options) < endCost(best, options) ? end : best),
    sureEnd(options),
  );
}
