import { formatMoney } from "@/core/quantity/format";
import { pricedLabel } from "@/words/prices";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"priced"> = ({ of, minor, low, high }, { shop }) => {
  const money = (value: number): string => formatMoney(value, shop.settings.currency);
  const ends =
    low === null && high === null ? "" : `, between ${money(low ?? minor)} and ${money(high ?? minor)}`;
  return `${pricedLabel(of)}: ${money(minor)}${ends}`;
};
