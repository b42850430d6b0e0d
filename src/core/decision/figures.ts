import { around, exactly, type Spread } from "./spread";

/** Figures that are typed for a job, beside the prices of its parts. */
export const FIGURES = [
  "machine",
  "rate",
  "day",
  "worth",
  "second-hand",
  "trade",
  "postage",
  "scrap",
  "disposal",
] as const;
export type FigureId = (typeof FIGURES)[number];

/** A figure as somebody typed it: on average, and its ends where they were said. Minor units. */
export interface Said {
  readonly minor: number;
  readonly low: number | null;
  readonly high: number | null;
}

/** What was typed for a job, by figure, repair, `donor:` and `assembly:`. */
export type SaidPrices = Readonly<Record<string, Said>>;

export function saidSpread({ minor, low, high }: Said): Spread {
  return { low: low ?? minor, likely: minor, high: high ?? minor };
}

/** A price that was typed, or the usual one with the width of what nobody has asked for. */
export function spreadOf(
  said: Said | undefined,
  usual: number,
  { low, high }: { readonly low: number; readonly high: number },
): Spread {
  if (said) return saidSpread(said);
  return usual > 0 ? around(usual, low, high) : exactly(0);
}
