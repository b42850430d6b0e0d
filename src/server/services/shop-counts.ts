import { countsOf, type ShopCounts } from "@/core/isolation/shop-counts";
import { closedJobOf } from "@/core/job/isolation/closed-job";
import type { Knowledge, Limits } from "@/core/knowledge/types";
import type { Executor } from "@/server/db/executor";
import { benchJobs } from "@/server/queries/jobs";

/** What the shop's own closed jobs have shown, worked out from their logs each time: nothing of it is stored. */
export async function shopCounts(on: Executor, knowledge: Knowledge, limits: Limits): Promise<ShopCounts> {
  const jobs = await benchJobs(on, { ...knowledge, limits });
  return countsOf(
    jobs.flatMap(({ view }) => closedJobOf(view, knowledge.faults) ?? []),
    knowledge,
  );
}
