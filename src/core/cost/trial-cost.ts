import type { Fault } from "../knowledge/types";

/** A repair that could be tried: what it costs and the chance that it is the one that cures. */
export interface Trial {
  readonly cost: number;
  /** Chance that this is what is wrong, times the chance that the repair cures it. */
  readonly cures: number;
}

/** Cost of the usual cure of a set of faults, minor units, unrounded: time at the ranking price, and parts. */
export function fixCost(faults: readonly Fault[], minuteMinor: number): number {
  return faults.reduce((sum, { fix }) => sum + fix.minutes * minuteMinor + fix.partMinor, 0);
}

/** Chance that the usual cure works when these faults are what is wrong. */
export function fixSuccess(faults: readonly Fault[]): number {
  return faults.reduce((product, { fix }) => product * fix.success, 1);
}

/**
 * Expected cost of trying repairs in the order of chance ÷ cost until one cures, minor units, unrounded; what none
 * cures ends at `giveUp`. The one figure for "fit it now", here and in the decision.
 */
export function trialCost(trials: readonly Trial[], giveUp: number): number {
  const inOrder = [...trials].sort((one, other) => other.cures / other.cost - one.cures / one.cost);
  let stillWrong = 1;
  let expected = 0;
  for (const { cost, cures } of inOrder) {
    // A trial that costs more than it can save is not made.
    if (stillWrong * cost >= cures * giveUp) continue;
    expected += stillWrong * cost;
    stillWrong -= cures;
  }
  return expected + Math.max(0, stillWrong) * giveUp;
}
