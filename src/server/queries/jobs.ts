import { sql } from "drizzle-orm";
import type { JobContext, JobView } from "@/core/job/log/view";
import type { Executor } from "@/server/db/executor";
import { jobs } from "@/server/db/schema";
import { committedLog } from "@/server/repositories/known-logs";
import { ownerById } from "@/server/repositories/owners";
import { viewOf } from "./view-of";

/** A job as its own pages show it: the contact is asked for nowhere else. */
export interface JobWithContact {
  readonly view: JobView;
  readonly ownerName: string;
  readonly ownerContact: string;
}

export async function jobView(
  db: Executor,
  jobId: number,
  shopContext: JobContext,
): Promise<JobWithContact | undefined> {
  const entries = await committedLog(db, jobId);
  // A job begins with its first line, in one transaction.
  if (entries.length === 0) return undefined;
  const view = viewOf(jobId, entries, shopContext);
  const ownerId = view.takenIn?.ownerId ?? null;
  const owner = ownerId === null ? undefined : await ownerById(db, ownerId);
  return { view, ownerName: owner?.name ?? "", ownerContact: owner?.contact ?? "" };
}

export async function countJobs(on: Executor): Promise<number> {
  const rows = await on.select({ count: sql<number>`count(*)::int` }).from(jobs);
  return rows[0]?.count ?? 0;
}
