/** A figure that is not known exactly: what it is on average, and the two ends within which it lies six times in ten or more. */
export interface Spread {
  readonly low: number;
  /** On average: every expected cost is worked out with it. */
  readonly likely: number;
  readonly high: number;
}

export const exactly = (likely: number): Spread => ({ low: likely, likely, high: likely });

/** A figure with its ends at a share of it: `around(1000, 0.7, 1.5)` lies between 700 and 1500. */
export function around(likely: number, low: number, high: number): Spread {
  return { low: likely * low, likely, high: likely * high };
}

/** Chance that a figure lies at one of its ends together: the middle holds the rest. */
const AT_THE_ENDS = 0.6;

/** Chances of the low and of the high end, so that the mean is the likely figure. */
function endsOf({ low, likely, high }: Spread): readonly [number, number] {
  if (high <= low) return [0, 0];
  const reach = high - low;
  return [(AT_THE_ENDS * (high - likely)) / reach, (AT_THE_ENDS * (likely - low)) / reach];
}

/** A state of the market, or of the repairer's day, with its chance. All figures of one kind stand low or high together. */
export interface Level {
  readonly chance: number;
  valueOf(spread: Spread): number;
}

/**
 * The levels at which figures stand together: dear parts are all dear, a slow machine is slow in every step. A partition
 * of the unit interval by the ends of every figure, so the mean of each is its likely figure exactly.
 */
export function levelsOf(spreads: readonly Spread[]): readonly Level[] {
  const cuts = new Set([0, 1]);
  for (const spread of spreads) {
    const [low, high] = endsOf(spread);
    cuts.add(low);
    cuts.add(1 - high);
  }
  const inOrder = [...cuts].sort((one, other) => one - other);
  return inOrder.slice(1).flatMap((to, index): Level[] => {
    const from = inOrder[index] ?? 0;
    const middle = (from + to) / 2;
    if (to - from <= 1e-12) return [];
    return [
      {
        chance: to - from,
        valueOf: (spread) => {
          const [low, high] = endsOf(spread);
          if (middle < low) return spread.low;
          return middle > 1 - high ? spread.high : spread.likely;
        },
      },
    ];
  });
}
