import type { Family } from "@/core/matching/family";
import type { Part } from "@/core/matching/part";
import { listed, type PriceList, priceList } from "@/core/matching/price-list";

/** Who sells what the rooms list: prices and days are examples. */
const COUNTER = "Tern Quay counter";

/** How many suppliers' lists are searched; more than one only where the load is measured. */
const listsOf = (): number => Math.max(1, Number(process.env["GOOD_SPINDLE_PRICE_LISTS"] ?? 1) || 1);

const made = new Map<string, PriceList>();

/** The same parts from further suppliers, each with its own number. */
function further(parts: readonly Part[], lists: number): Part[] {
  return Array.from({ length: lists - 1 }, (_, index) =>
    parts.map((part) => ({ ...part, id: `${part.id}:${index + 2}`, supplier: `List ${index + 2}` })),
  ).flat();
}

/** The price list of a family, made when it is first asked for. A supplier's own lists will stand beside it. */
export function priceListOf(family: Family): PriceList {
  const known = made.get(family.id);
  if (known) return known;
  const parts = listed(family, family.series(), COUNTER);
  const list = priceList(family, [...parts, ...further(parts, listsOf())]);
  made.set(family.id, list);
  return list;
}
