import { and, desc, eq, inArray, ne, sql } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import { jobFacts, owners } from "@/server/db/schema";

/** An owner as the shop's book has them; a name that is empty was forgotten. */
export interface OwnerRow {
  readonly id: number;
  readonly name: string;
  readonly contact: string;
  readonly version: number;
}

export async function createOwner(on: Executor, name: string, contact: string): Promise<number> {
  const rows = await on.insert(owners).values({ name, contact }).returning({ id: owners.id });
  const id = rows[0]?.id;
  if (id === undefined) throw new Error("the database gave the new owner no number");
  return id;
}

export async function ownerById(on: Executor, id: number): Promise<OwnerRow | undefined> {
  return (await on.select().from(owners).where(eq(owners.id, id)))[0];
}

/** Inside a transaction, with the name as it is searched. @returns false where it was changed since `version` */
export async function changeOwner(
  on: Executor,
  { id, version }: Pick<OwnerRow, "id" | "version">,
  to: Pick<OwnerRow, "name" | "contact"> & { readonly search: string },
): Promise<boolean> {
  const changed = await on
    .update(owners)
    .set({ name: to.name, contact: to.contact, version: sql`${owners.version} + 1` })
    .where(and(eq(owners.id, id), eq(owners.version, version)))
    .returning({ id: owners.id });
  if (changed.length === 0) return false;
  await on.update(jobFacts).set({ ownerSearch: to.search }).where(eq(jobFacts.ownerId, id));
  return true;
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

/** Owners who have a job here and whose folded name holds every word, the last touched first, each with their jobs' number. */
export async function findOwnerRows(
  on: Executor,
  likes: readonly string[],
  limit: number,
): Promise<readonly { readonly id: number; readonly name: string; readonly jobs: number }[]> {
  return on
    .select({ id: owners.id, name: owners.name, jobs: sql<number>`count(*)::int` })
    .from(owners)
    .innerJoin(jobFacts, eq(jobFacts.ownerId, owners.id))
    .where(and(ne(owners.name, ""), ...likes.map((like) => sql`${jobFacts.ownerSearch} like ${like}`)))
    .groupBy(owners.id, owners.name)
    .orderBy(desc(sql`max(${jobFacts.touchedAt})`), owners.id)
    .limit(limit);
}

export async function jobIdsOfOwner(on: Executor, id: number, limit: number): Promise<number[]> {
  const rows = await on
    .select({ jobId: jobFacts.jobId })
    .from(jobFacts)
    .where(eq(jobFacts.ownerId, id))
    .orderBy(desc(jobFacts.touchedAt), desc(jobFacts.jobId))
    .limit(limit);
  return rows.map(({ jobId }) => jobId);
}
