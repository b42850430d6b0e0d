import type { Shop } from "@/core/shop/shop";
import { type JobWithContact, jobView } from "@/server/queries/jobs";
import { readShopContext } from "./shop-context";
import { shopProps } from "./shop-props";

export interface JobPage extends JobWithContact {
  readonly shop: Shop;
}

/** What a page of a job is made from; undefined when there is no such job. */
export async function jobPage(id: string | undefined): Promise<JobPage | undefined> {
  if (id === undefined || !/^[1-9]\d{0,8}$/.test(id)) return undefined;
  const shopContext = await readShopContext();
  const found = await jobView(shopContext.db, Number(id), {
    ...shopContext.knowledge,
    limits: shopContext.limits,
  });
  return found && { ...found, shop: shopProps(shopContext, new Date().toISOString()) };
}
