import { formatMoney } from "@/core/quantity/format";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"priced"> = ({ of, minor }, { shop }) =>
  `Price, ${of === "machine" ? "another machine" : of.replaceAll("-", " ")}: ${formatMoney(minor, shop.settings.currency)}`;
