import { type Action, type DecisionCase, type End, sureEnd } from "./action";
import type { Walked } from "./plan";
import { levelsOf } from "./spread";

/** One way in which it can end: what it comes to then, and its chance. */
export interface Ending {
  readonly cost: number;
  readonly chance: number;
}

type Made = Pick<Action, "cash" | "minutes" | "days"> & { readonly later?: number | undefined };

/** What was done up to each end, with its chance. */
function histories({ steps, end, stillWrong }: Walked, options: DecisionCase) {
  const all: { readonly made: readonly Made[]; readonly chance: number }[] = [];
  const made: Made[] = [];
  for (const { action, cures } of steps) {
    made.push(action);
    if (cures > 0) all.push({ made: [...made], chance: cures });
  }
  if (stillWrong <= 0) return all;
  all.push({ made: [...made, end], chance: stillWrong * end.success });
  if (end.success < 1)
    all.push({ made: [...made, end, sureEnd(options)], chance: stillWrong * (1 - end.success) });
  return all;
}

/**
 * Every way a plan can end, exactly: cured after each step, or the end after all of them, at each level of prices and of
 * time. What is likely to fail next belongs to the last thing done. Chances add up to one.
 */
export function endingsOf(walked: Walked, options: DecisionCase): Ending[] {
  const all = histories(walked, options);
  const used = [...new Set(all.flatMap(({ made }) => made))];
  const prices = levelsOf(used.map(({ cash }) => cash));
  const times = levelsOf(used.map(({ minutes }) => minutes));
  return all.flatMap(({ made, chance }) => {
    const fixed = made.reduce((sum, { days }) => sum + days * options.dayMinor, made.at(-1)?.later ?? 0);
    return prices.flatMap((price) =>
      times.map((time) => ({
        chance: chance * price.chance * time.chance,
        cost: made.reduce(
          (sum, { cash, minutes }) => sum + price.valueOf(cash) + time.valueOf(minutes) * options.minuteMinor,
          fixed,
        ),
      })),
    );
  });
}

/** The least cost that is not exceeded with a chance of each of the shares, which rise. */
export function quantiles(endings: readonly Ending[], shares: readonly number[]): number[] {
  const inOrder = [...endings].sort((one, other) => one.cost - other.cost);
  const found: number[] = [];
  let sum = 0;
  for (const { cost, chance } of inOrder) {
    sum += chance;
    while (found.length < shares.length && sum >= (shares[found.length] ?? 1) - 1e-9) found.push(cost);
  }
  while (found.length < shares.length) found.push(inOrder.at(-1)?.cost ?? 0);
  return found;
}

/** Today's worth of one a year for some years, at an interest a year: (1 − (1 + r)^−n) / r, or the years where there is none. */
export function annuity(years: number, interest: number): number {
  return interest > 0 ? (1 - (1 + interest) ** -years) / interest : years;
}

/** Years of use that a plan buys on average, and today's worth of one a year for them. */
export function usesOf({ steps, end, stillWrong }: Walked, options: DecisionCase) {
  const rows: (readonly [number, number])[] = steps.map(({ action, cures }) => [
    cures,
    action.years ?? options.years,
  ]);
  const failed: Pick<End, "years"> = end.success < 1 ? sureEnd(options) : { years: 0 };
  rows.push([stillWrong * end.success, end.years], [stillWrong * (1 - end.success), failed.years]);
  return {
    years: rows.reduce((sum, [chance, years]) => sum + chance * years, 0),
    worth: rows.reduce((sum, [chance, years]) => sum + chance * annuity(years, options.interest), 0),
  };
}
