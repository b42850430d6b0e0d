import { countsFrom } from "@/core/isolation/lesson";
import type { ShopCounts } from "@/core/isolation/shop-counts";
import type { Executor } from "@/server/db/executor";
import { shopCounts } from "@/server/db/schema";

/** What the shop's own closed jobs have shown: the sum of their lessons, as a trigger keeps it. */
export async function readCounts(on: Executor): Promise<ShopCounts> {
  const rows = await on.select().from(shopCounts).orderBy(shopCounts.name);
  return countsFrom(rows.map(({ name, micro }) => [name, micro]));
}
