import type { Shop } from "@/core/shop/shop";
import { type JobWithContact, jobView } from "@/server/queries/jobs";
import { shopGround } from "./ground";
import { shopProps } from "./shop-props";

export interface JobPage extends JobWithContact {
  readonly shop: Shop;
}

/** What a page of a job is made from; undefined when there is no such job. */
export async function jobPage(id: string | undefined): Promise<JobPage | undefined> {
  if (id === undefined || !/^[1-9]\d{0,8}$/.test(id)) return undefined;
  const ground = await shopGround();
  const found = await jobView(ground.db, Number(id), { ...ground.knowledge, limits: ground.limits });
  return found && { ...found, shop: shopProps(ground, new Date().toISOString()) };
}
