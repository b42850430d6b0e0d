import { and, asc, desc, eq, isNotNull, sql } from "drizzle-orm";
import type { Attributes } from "@/core/matching/part";
import type { Executor } from "@/server/db/executor";
import { shelfParts, stockMoves } from "@/server/db/schema";

/** A part on the shelf, with how many lie there. */
export interface ShelfRow {
  readonly id: string;
  readonly family: string;
  readonly label: string;
  readonly attributes: Attributes;
  readonly place: string;
  readonly priceMinor: number;
  readonly supplier: string;
  readonly donorMachine: string | null;
  readonly tested: string;
  readonly version: number;
  readonly count: number;
}

/** What came to a part of the shelf, or went from it. */
export interface StockRow {
  readonly id: string;
  readonly shelfPartId: string;
  readonly count: number;
  readonly reason: string;
  readonly jobId: number | null;
  readonly at: string;
  readonly by: string;
}

const counted = sql<number>`coalesce(sum(${stockMoves.count}), 0)::int`;

function toRow({ part, count }: { readonly part: typeof shelfParts.$inferSelect; readonly count: number }) {
  return { ...part, attributes: part.attributes as Attributes, count } satisfies ShelfRow;
}

const inOrder = [asc(shelfParts.family), asc(shelfParts.label), asc(shelfParts.id)];

/** All that the shelf has a place for, also what is used up. */
export async function wholeShelf(on: Executor): Promise<ShelfRow[]> {
  const rows = await on
    .select({ part: shelfParts, count: counted })
    .from(shelfParts)
    .leftJoin(stockMoves, eq(stockMoves.shelfPartId, shelfParts.id))
    .groupBy(shelfParts.id)
    .orderBy(...inOrder);
  return rows.map(toRow);
}

/** The same of one family. */
export async function shelfOfFamily(on: Executor, family: string): Promise<ShelfRow[]> {
  const rows = await on
    .select({ part: shelfParts, count: counted })
    .from(shelfParts)
    .leftJoin(stockMoves, eq(stockMoves.shelfPartId, shelfParts.id))
    .where(eq(shelfParts.family, family))
    .groupBy(shelfParts.id)
    .orderBy(...inOrder);
  return rows.map(toRow);
}

/** Families of which a machine kept for parts has a part that lies there. */
export async function donorFamilies(on: Executor): Promise<readonly string[]> {
  const rows = await on
    .select({ family: shelfParts.family })
    .from(shelfParts)
    .innerJoin(stockMoves, eq(stockMoves.shelfPartId, shelfParts.id))
    .where(isNotNull(shelfParts.donorMachine))
    .groupBy(shelfParts.id)
    .having(sql`sum(${stockMoves.count}) > 0`);
  return rows.map(({ family }) => family);
}

/** Inside a transaction: the part as it stands, and nobody moves any of it before this is over. */
export async function heldShelfPart(on: Executor, id: string): Promise<ShelfRow | undefined> {
  const [part] = await on.select().from(shelfParts).where(eq(shelfParts.id, id)).for("update");
  if (!part) return undefined;
  const [sum] = await on.select({ count: counted }).from(stockMoves).where(eq(stockMoves.shelfPartId, id));
  return toRow({ part, count: sum?.count ?? 0 });
}

/** @returns false where this id is there already */
export async function addShelfPart(
  on: Executor,
  { count: _, version: __, ...row }: ShelfRow,
  added: { readonly at: string; readonly by: string },
): Promise<boolean> {
  const made = await on
    .insert(shelfParts)
    .values({ ...row, addedAt: added.at, addedBy: added.by })
    .onConflictDoNothing()
    .returning({ id: shelfParts.id });
  return made.length > 0;
}

export type ShelfChange = Pick<ShelfRow, "label" | "place" | "priceMinor" | "supplier" | "tested">;

/** @returns false where it was changed since `version` */
export async function changeShelfPart(
  on: Executor,
  { id, version }: Pick<ShelfRow, "id" | "version">,
  to: ShelfChange,
): Promise<boolean> {
  const changed = await on
    .update(shelfParts)
    .set({ ...to, version: sql`${shelfParts.version} + 1` })
    .where(and(eq(shelfParts.id, id), eq(shelfParts.version, version)))
    .returning({ id: shelfParts.id });
  return changed.length > 0;
}

export async function addStockMove(on: Executor, move: StockRow): Promise<void> {
  await on.insert(stockMoves).values(move);
}

export async function stockMoveById(on: Executor, id: string): Promise<StockRow | undefined> {
  return (await on.select().from(stockMoves).where(eq(stockMoves.id, id)))[0];
}

/** What came and went of a part, newest first. */
export async function stockMovesOf(on: Executor, shelfPartId: string, limit: number): Promise<StockRow[]> {
  const rows = await on
    .select()
    .from(stockMoves)
    .where(eq(stockMoves.shelfPartId, shelfPartId))
    .orderBy(desc(stockMoves.at), desc(stockMoves.id))
    .limit(limit);
  return rows.map((row) => ({ ...row, at: new Date(row.at).toISOString() }));
}

/** How many of a part a job has taken, less what it gave back. */
export async function takenByJob(on: Executor, shelfPartId: string, jobId: number): Promise<number> {
  const [sum] = await on
    .select({ count: sql<number>`coalesce(-sum(${stockMoves.count}), 0)::int` })
    .from(stockMoves)
    .where(and(eq(stockMoves.shelfPartId, shelfPartId), eq(stockMoves.jobId, jobId)));
  return sum?.count ?? 0;
}
