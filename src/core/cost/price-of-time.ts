import type { Parameters } from "../knowledge/parameters";

/**
 * Price of a minute for ranking moves, minor units. The shop's ranking rate, at least the floor of the parameters, also
 * where the rate that is charged is 0: a repairer's own time is never free to waste.
 */
export function priceOfMinute(ratePerHourMinor: number | undefined, parameters: Parameters): number {
  const rate = ratePerHourMinor ?? parameters["ranking-rate-default"];
  return Math.max(rate, parameters["ranking-rate-least"]) / 60;
}
