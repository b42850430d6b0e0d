import { minorDigits } from "@/core/quantity/format";

/** An amount as it stands in a field: without its currency, which the label says. */
export const shownMoney = (minor: number, currency: string): string =>
  (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency));
