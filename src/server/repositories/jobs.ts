import { eq, sql } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { jobs, owners } from "@/server/db/schema";

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

/** Name and contact are gone; the row stays, as jobs name it. */
export async function redactOwner(on: Executor, id: number): Promise<void> {
  await on
    .update(owners)
    .set({ name: "", contact: "", version: sql`${owners.version} + 1` })
    .where(eq(owners.id, id));
}

export async function ownersById(
  on: Executor,
): Promise<ReadonlyMap<number, { name: string; contact: string }>> {
  const rows = await on.select().from(owners);
  return new Map(rows.map(({ id, name, contact }) => [id, { name, contact }]));
}
