import { ok, type Result } from "@/core/result";
import { shopDatabase } from "@/server/db/shop-database";
import { jobView } from "@/server/queries/jobs";
import { redactOwner } from "@/server/repositories/jobs";
import { noSuchJob } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** Takes the owner's name and contact out of the shop's book and its journal; the job and its log stay as they are. */
export async function forgetOwner(
  jobId: number,
  shopContext: ShopContext,
): Promise<Result<{ readonly jobId: number }>> {
  const { db, knowledge, limits } = shopContext;
  const found = await jobView(db, jobId, { ...knowledge, limits });
  if (!found) return noSuchJob(jobId);
  const ownerId = found.view.takenIn?.ownerId;
  if (ownerId !== null && ownerId !== undefined)
    await (await shopDatabase()).forgetOwner(ownerId, () => db.transaction((tx) => redactOwner(tx, ownerId)));
  return ok({ jobId });
}
