import { ok, type Result } from "@/core/result";
import { jobView } from "@/server/queries/jobs";
import { redactOwner } from "@/server/repositories/jobs";
import { noSuchJob } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** Takes the owner's name and contact out of the shop's book; the job and its log stay as they are. */
export async function forgetOwner(
  jobId: number,
  shopContext: ShopContext,
): Promise<Result<{ readonly jobId: number }>> {
  return shopContext.db.transaction(async (tx) => {
    const found = await jobView(tx, jobId, { ...shopContext.knowledge, limits: shopContext.limits });
    if (!found) return noSuchJob(jobId);
    const ownerId = found.view.takenIn?.ownerId;
    if (ownerId !== null && ownerId !== undefined) await redactOwner(tx, ownerId);
    return ok({ jobId });
  });
}
