import { asc, eq, inArray } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { jobs } from "@/server/db/schema";

export async function createJob(on: Executor, createdAt: string, createdBy: string): Promise<number> {
  const rows = await on.insert(jobs).values({ createdAt, createdBy }).returning({ id: jobs.id });
  const id = rows[0]?.id;
  if (id === undefined) throw new Error("the database gave the new job no number");
  return id;
}

/** Holds the job against other writers until the transaction ends. */
export async function lockJob(on: Executor, jobId: number): Promise<boolean> {
  const rows = await on.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId)).for("update");
  return rows.length === 1;
}

/** Holds several jobs, in order of their numbers so that nobody waits for each other. @returns those that there are */
export async function lockJobs(on: Executor, jobIds: readonly number[]): Promise<number[]> {
  if (jobIds.length === 0) return [];
  const rows = await on
    .select({ id: jobs.id })
    .from(jobs)
    .where(inArray(jobs.id, [...jobIds]))
    .orderBy(asc(jobs.id))
    .for("update");
  return rows.map(({ id }) => id);
}

export async function everyJobId(on: Executor): Promise<number[]> {
  return (await on.select({ id: jobs.id }).from(jobs).orderBy(asc(jobs.id))).map(({ id }) => id);
}

export async function jobExists(on: Executor, jobId: number): Promise<boolean> {
  const rows = await on.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId));
  return rows.length === 1;
}
