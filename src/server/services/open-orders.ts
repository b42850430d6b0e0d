import { type OrderLine, orderList } from "@/core/job/order-list";
import { jobView } from "@/server/queries/jobs";
import { entriesOfKinds } from "@/server/repositories/entries";
import type { ShopContext } from "./shop-context";

/** Jobs with the newest orders: more than a shop waits for at once. */
const MOST_JOBS = 80;
const LOOK_BACK_MS = 400 * 86_400_000;

/** What is on order for all jobs. */
export async function openOrders(
  { db, knowledge, limits }: Pick<ShopContext, "db" | "knowledge" | "limits">,
  now: string,
): Promise<readonly OrderLine[]> {
  const since = new Date(Date.parse(now) - LOOK_BACK_MS).toISOString();
  const ordered = await entriesOfKinds(db, ["order-linked"], { since });
  const jobIds = [...new Set(ordered.map(({ jobId }) => jobId).reverse())].slice(0, MOST_JOBS);
  const context = { ...knowledge, limits };
  const found = await Promise.all(jobIds.map((jobId) => jobView(db, jobId, context)));
  return orderList(found.flatMap((one) => (one ? [one.view] : [])));
}
