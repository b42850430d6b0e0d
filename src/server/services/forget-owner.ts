import { ok, type Result } from "@/core/result";
import { shopDatabase } from "@/server/db/shop-database";
import { jobView } from "@/server/queries/jobs";
import { redactOwner } from "@/server/repositories/owners";
import { noSuchJob } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** Takes an owner's name and contact out of the shop's book and its journal; jobs and their logs stay as they are. */
export async function forgetOwner(
  ownerId: number,
  { db }: ShopContext,
): Promise<Result<{ readonly ownerId: number }>> {
  await (await shopDatabase()).forgetOwner(ownerId, () => db.transaction((tx) => redactOwner(tx, ownerId)));
  return ok({ ownerId });
}

/** The same by a job of theirs. */
export async function forgetOwnerOfJob(
  jobId: number,
  shopContext: ShopContext,
): Promise<Result<{ readonly jobId: number }>> {
  const { db, knowledge, limits } = shopContext;
  const found = await jobView(db, jobId, { ...knowledge, limits });
  if (!found) return noSuchJob(jobId);
  const ownerId = found.view.takenIn?.ownerId;
  if (ownerId !== null && ownerId !== undefined) await forgetOwner(ownerId, shopContext);
  return ok({ jobId });
}
