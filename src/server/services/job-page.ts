import { idIn } from "@/core/fields.input";
import type { Shop } from "@/core/shop/shop";
import { type JobWithContact, jobView } from "@/server/queries/jobs";
import { readShopContext } from "./shop-context";
import { shopProps } from "./shop-props";

export interface JobPage extends JobWithContact {
  readonly shop: Shop;
}

/** What a page of a job is made from; undefined when there is no such job. */
export async function jobPage(id: string | undefined): Promise<JobPage | undefined> {
  const jobId = idIn(id);
  if (jobId === undefined) return undefined;
  const shopContext = await readShopContext();
  const found = await jobView(shopContext.db, jobId, {
    ...shopContext.knowledge,
    limits: shopContext.limits,
  });
  return found && { ...found, shop: shopProps(shopContext, new Date().toISOString()) };
}
