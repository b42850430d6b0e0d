import { asc, eq, inArray, sql } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { jobFacts, jobs, owners } from "@/server/db/schema";

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

export async function createOwner(on: Executor, name: string, contact: string): Promise<number> {
  const rows = await on.insert(owners).values({ name, contact }).returning({ id: owners.id });
  const id = rows[0]?.id;
  if (id === undefined) throw new Error("the database gave the new owner no number");
  return id;
}

/** Name and contact are gone, and nothing is found by them; the row stays, as jobs name it. Inside a transaction. */
export async function redactOwner(on: Executor, id: number): Promise<void> {
  await on
    .update(owners)
    .set({ name: "", contact: "", version: sql`${owners.version} + 1` })
    .where(eq(owners.id, id));
  await on.update(jobFacts).set({ ownerSearch: "" }).where(eq(jobFacts.ownerId, id));
}

/** Owners' names, which nobody takes out before this transaction is over. */
export async function heldOwnerNames(
  on: Executor,
  ids: readonly number[],
): Promise<ReadonlyMap<number, string>> {
  if (ids.length === 0) return new Map();
  const rows = await on
    .select({ id: owners.id, name: owners.name })
    .from(owners)
    .where(inArray(owners.id, [...ids]))
    .for("share");
  return new Map(rows.map(({ id, name }) => [id, name]));
}

export async function ownerById(
  on: Executor,
  id: number,
): Promise<{ readonly name: string; readonly contact: string } | undefined> {
  const rows = await on
    .select({ name: owners.name, contact: owners.contact })
    .from(owners)
    .where(eq(owners.id, id));
  return rows[0];
}
