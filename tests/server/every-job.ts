import { asc } from "drizzle-orm";
import type { Entry } from "@/core/job/log/entry";
import type { Executor } from "@/server/db/executor";
import { jobs, owners } from "@/server/db/schema";
import { viewOf } from "@/server/queries/view-of";
import { entriesOf } from "@/server/repositories/entries";
import type { ShopContext } from "@/server/services/shop-context";

async function numbers(on: Executor): Promise<number[]> {
  return (await on.select({ id: jobs.id }).from(jobs).orderBy(asc(jobs.id))).map(({ id }) => id);
}

/** Every line of every log, in order. */
export async function allEntries(on: Executor): Promise<Entry[]> {
  const all: Entry[] = [];
  for (const id of await numbers(on)) all.push(...(await entriesOf(on, id)));
  return all;
}

/** Every job as its own log says it. */
export async function everyJob({ db, knowledge, limits }: ShopContext) {
  const ids = await numbers(db);
  return Promise.all(
    ids.map(async (id) => ({ view: viewOf(id, await entriesOf(db, id), { ...knowledge, limits }) })),
  );
}

export async function ownersById(on: Executor) {
  const rows = await on.select().from(owners);
  return new Map(rows.map(({ id, name, contact }) => [id, { name, contact }]));
}
