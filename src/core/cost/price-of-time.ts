import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";

/**
 * Price of a minute for ranking moves, minor units. The shop's ranking rate, at least the floor of the limits, also
 * where the rate that is charged is 0: a repairer's own time is never free to waste.
 */
export function priceOfMinute(ratePerHourMinor: number | undefined, limits: Limits): number {
  const rate = ratePerHourMinor ?? limitOf(limits, "ranking-rate-default").value;
  return Math.max(rate, limitOf(limits, "ranking-rate-least").value) / 60;
}
