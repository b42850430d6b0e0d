import { sql } from "drizzle-orm";
import type { Entry } from "@/core/job/log/entry";
import type { JobContext, JobView } from "@/core/job/log/reduce";
import type { Executor } from "@/server/db/executor";
import { jobs } from "@/server/db/schema";
import { allEntries, entriesOf } from "@/server/repositories/entries";
import { jobExists, ownersById } from "@/server/repositories/jobs";
import { viewOf } from "./view-of";

export interface JobWithOwner {
  readonly view: JobView;
  readonly ownerName: string;
}

/** A job as its own pages show it: the contact is asked for nowhere else. */
export interface JobWithContact extends JobWithOwner {
  readonly ownerContact: string;
}

export async function jobView(
  on: Executor,
  jobId: number,
  shopContext: JobContext,
): Promise<JobWithContact | undefined> {
  if (!(await jobExists(on, jobId))) return undefined;
  const view = viewOf(jobId, await entriesOf(on, jobId), shopContext);
  const owners = await ownersById(on);
  const owner = owners.get(view.takenIn?.ownerId ?? -1);
  return { view, ownerName: owner?.name ?? "", ownerContact: owner?.contact ?? "" };
}

/** Every machine standing here. */
export async function benchJobs(on: Executor, shopContext: JobContext): Promise<JobWithOwner[]> {
  const byJob = new Map<number, Entry[]>();
  for (const entry of await allEntries(on))
    byJob.set(entry.jobId, [...(byJob.get(entry.jobId) ?? []), entry]);
  const owners = await ownersById(on);
  return [...byJob].map(([jobId, entries]) => {
    const view = viewOf(jobId, entries, shopContext);
    return { view, ownerName: owners.get(view.takenIn?.ownerId ?? -1)?.name ?? "" };
  });
}

export interface JobHit {
  readonly jobId: number;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
}

const MOST_HITS = 8;

/** Jobs by number, tag, machine, place or owner. */
export async function findJobs(on: Executor, words: string, shopContext: JobContext): Promise<JobHit[]> {
  const wanted = words.trim().toLocaleLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return [];
  const hits = (await benchJobs(on, shopContext)).filter(({ view, ownerName }) => {
    const held = [
      `job ${view.jobId}`,
      view.takenIn?.machine,
      view.takenIn?.tag,
      view.takenIn?.place,
      ownerName,
    ]
      .join(" ")
      .toLocaleLowerCase();
    return wanted.every((word) => held.includes(word));
  });
  return hits.slice(0, MOST_HITS).map(({ view }) => ({
    jobId: view.jobId,
    machine: view.takenIn?.machine ?? "",
    tag: view.takenIn?.tag ?? "",
    place: view.takenIn?.place ?? "",
  }));
}

export async function countJobs(on: Executor): Promise<number> {
  const rows = await on.select({ count: sql<number>`count(*)::int` }).from(jobs);
  return rows[0]?.count ?? 0;
}
