import type { Family } from "@/core/matching/family";
import { listed, type PriceList, priceList } from "@/core/matching/price-list";

/** Who sells what the rooms list: prices and days are examples. */
const SUPPLIER = "Tern Quay counter";

const made = new Map<string, PriceList>();

/** The price list of a family, made when it is first asked for. A supplier's own lists will stand beside it. */
export function priceListOf(family: Family): PriceList {
  const known = made.get(family.id);
  if (known) return known;
  const list = priceList(family, listed(family, family.series(), SUPPLIER));
  made.set(family.id, list);
  return list;
}
