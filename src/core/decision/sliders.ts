import { type Action, type Cause, type DecisionCase, type End, sureEnd } from "./action";
import type { Slider } from "./break-even";
import { exactly, type Spread } from "./spread";

/** A price slider reaches to so many times the price, and at least to what ending it costs. */
const REACH = 4;
/** Highest rate that is asked about, minor units a minute: 120.00 an hour. */
const MOST_A_MINUTE = 200;
const MOST_CHANCE = 0.98;
/** What costs less is not asked about. Minor units. */
const LEAST_PRICE = 100;

const moved = (spread: Spread, likely: number): Spread =>
  spread.likely > 0
    ? {
        low: (spread.low * likely) / spread.likely,
        likely,
        high: (spread.high * likely) / spread.likely,
      }
    : exactly(likely);

const shifted = ({ low, likely, high }: Spread, by: number): Spread => ({
  low: low + by,
  likely: likely + by,
  high: high + by,
});

/** The cash of one action, wherever it stands, and of those that buy its part with theirs. */
function withPrice(options: DecisionCase, { id, cash }: Action, minor: number): DecisionCase {
  const priced = <T extends Action>(action: T): T => {
    if (action.id === id) return { ...action, cash: moved(action.cash, minor) };
    if (action.buys?.includes(id)) return { ...action, cash: shifted(action.cash, minor - cash.likely) };
    return action;
  };
  return {
    ...options,
    causes: options.causes.map((cause) => ({
      ...cause,
      ways: cause.ways.map(priced),
    })),
    swaps: options.swaps.map((swap) => ({
      ...priced(swap),
      leaves: new Map([...swap.leaves].map(([cause, left]) => [cause, left && { way: priced(left.way) }])),
    })),
  };
}

/** One cause as likely as that, the others as they stand to each other. */
function withChance(options: DecisionCase, cause: Cause, chance: number): DecisionCase {
  const rest = 1 - cause.chance;
  const share = rest > 0 ? (1 - chance) / rest : 0;
  return {
    ...options,
    causes: options.causes.map((one) => ({
      ...one,
      chance: one === cause ? chance : one.chance * share,
    })),
  };
}

function withMachine(options: DecisionCase, id: End["id"], minor: number): DecisionCase {
  return {
    ...options,
    ends: options.ends.map((end) =>
      end.id === id || end.likeMachine ? { ...end, cash: moved(end.cash, minor) } : end,
    ),
  };
}

/**
 * The figures that can be moved for what is done first: its price, the chance of the cause it speaks of, the price of an
 * hour, and that of another machine. What costs next to nothing, and a cause that is sure, have no slider.
 */
export function slidersOf(options: DecisionCase, first: Action | undefined): readonly Slider[] {
  const machine = sureEnd(options);
  const cause = options.causes.find(({ ways }) => ways.some(({ id }) => id === first?.id));
  const most = Math.max(REACH * (first?.cash.likely ?? 0), machine.cash.likely);
  const sliders: Slider[] = [
    {
      id: "rate",
      now: options.minuteMinor * 60,
      from: 0,
      to: MOST_A_MINUTE * 60,
      at: (value) => ({ ...options, minuteMinor: value / 60 }),
    },
    {
      id: "machine",
      now: machine.cash.likely,
      from: 0,
      to: Math.max(1, REACH * machine.cash.likely),
      at: (value) => withMachine(options, machine.id, value),
    },
  ];
  if (cause && cause.chance < MOST_CHANCE)
    sliders.push({
      id: "chance",
      now: cause.chance,
      from: 0,
      to: MOST_CHANCE,
      at: (value) => withChance(options, cause, value),
    });
  if (first && first.cash.likely >= LEAST_PRICE)
    sliders.push({
      id: "price",
      now: first.cash.likely,
      from: 0,
      to: most,
      at: (value) => withPrice(options, first, value),
    });
  return sliders;
}
