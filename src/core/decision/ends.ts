import type { Parameters } from "../knowledge/parameters";
import type { End } from "./action";
import { type SaidPrices, saidSpread, spreadOf } from "./figures";
import { exactly, type Spread } from "./spread";

/** A machine as its ends depend on it. */
export interface EndFacts {
  readonly said: SaidPrices;
  /** Price of a new one of its kind, where the kind is known; minor units. */
  readonly usualMinor: number | undefined;
  /** Years that a new one runs. */
  readonly years: number | undefined;
}

const plus = ({ low, likely, high }: Spread, by: number): Spread => ({
  low: Math.max(0, low + by),
  likely: Math.max(0, likely + by),
  high: Math.max(0, high + by),
});

/**
 * The ways to end it without mending it here: another machine, a second-hand one and another shop where somebody has said
 * their price, and stopping, which costs what the machine is worth to its owner: the price of another where nobody said.
 */
export function endsOf({ said, usualMinor, years }: EndFacts, parameters: Parameters): readonly End[] {
  const width = { low: parameters["price-low"], high: parameters["price-high"] };
  const machine = spreadOf(said["machine"], usualMinor ?? parameters["machine-price-default"], width);
  const away = (said["disposal"]?.minor ?? 0) - (said["scrap"]?.minor ?? 0);
  const newYears = years ?? parameters["machine-years-default"];
  const days = parameters["order-days"];
  const none = { minutes: exactly(0), days: 0 };
  const secondHand = said["second-hand"];
  const trade = said["trade"];
  const worth = said["worth"];
  const ends: End[] = [
    {
      ...none,
      id: "replace",
      cash: plus(machine, away),
      days,
      success: 1,
      years: newYears,
      likeMachine: true,
    },
  ];
  if (secondHand)
    ends.push({
      ...none,
      id: "second-hand",
      cash: plus(saidSpread(secondHand), away),
      success: parameters["second-hand-works"],
      years: newYears * parameters["second-hand-years-share"],
    });
  if (trade)
    ends.push({
      ...none,
      id: "trade",
      cash: saidSpread(trade),
      days,
      success: parameters["trade-cures"],
      years: newYears * parameters["mended-years-share"],
    });
  ends.push({
    ...none,
    id: "stop",
    cash: plus(worth ? saidSpread(worth) : machine, away),
    // Days without it are all its days: they are in what it is worth.
    days: worth ? 0 : days,
    success: 1,
    years: 0,
    ...(worth ? {} : { likeMachine: true }),
  });
  return ends;
}
