import { formatDay } from "@/core/quantity/format";
import type { KindWords } from "../../kind-words";

export const words: KindWords<"order-linked"> = ({ part, state, from, expectedOn }) => {
  if (state === "arrived") return `Arrived: ${part}`;
  if (state === "cancelled") return `Not coming: ${part}`;
  const day = expectedOn === null ? "" : `, expected ${formatDay(expectedOn)}`;
  return `Ordered: ${part}${from ? ` from ${from}` : ""}${day}`;
};
