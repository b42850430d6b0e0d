import { asc, eq } from "drizzle-orm";
import type { Entry, EntryKind, NewEntry } from "@/core/job/log/entry";
import { currentVersion, readPayload } from "@/log/read-payload";
import type { Executor } from "@/server/db/executor";
import { entries } from "@/server/db/schema";

type Row = typeof entries.$inferSelect;

/** A row that does not fit its schema is a bug of ours, not an answer: it throws. */
function toEntry(row: Row): Entry {
  const read = readPayload(row.kind as EntryKind, row.payload, row.kindVersion);
  if (!read.ok)
    throw new Error(
      `entry ${row.jobId}/${row.seq} does not fit: ${read.issues.map(({ message }) => message).join(" ")}`,
    );
  const { entryId, jobId, seq, kindVersion, shown, knowledgeVersion, settingsVersion, by } = row;
  const stage = row.stage as Entry["stage"];
  const at = new Date(row.at).toISOString();
  return {
    entryId,
    jobId,
    seq,
    kindVersion,
    stage,
    shown,
    knowledgeVersion,
    settingsVersion,
    at,
    by,
    ...read.value,
  } as Entry;
}

export async function entriesOf(on: Executor, jobId: number): Promise<Entry[]> {
  const rows = await on.select().from(entries).where(eq(entries.jobId, jobId)).orderBy(asc(entries.seq));
  return rows.map(toEntry);
}

/** Entries of every job, in order; the Bench reads them. */
export async function allEntries(on: Executor): Promise<Entry[]> {
  const rows = await on.select().from(entries).orderBy(asc(entries.jobId), asc(entries.seq));
  return rows.map(toEntry);
}

export async function entryById(
  on: Executor,
  entryId: string,
): Promise<{ jobId: number; seq: number; kind: string } | undefined> {
  const rows = await on
    .select({ jobId: entries.jobId, seq: entries.seq, kind: entries.kind })
    .from(entries)
    .where(eq(entries.entryId, entryId));
  return rows[0];
}

export interface Placement {
  readonly entryId: string;
  readonly jobId: number;
  readonly seq: number;
  readonly stage: Entry["stage"];
  readonly shown: unknown;
  readonly knowledgeVersion: string;
  readonly settingsVersion: number;
  readonly at: string;
  readonly by: string;
}

export async function appendEntry(on: Executor, place: Placement, entry: NewEntry): Promise<Entry> {
  const kindVersion = currentVersion(entry.kind);
  await on.insert(entries).values({ ...place, kind: entry.kind, kindVersion, payload: entry.payload });
  return { ...place, kindVersion, ...entry } as Entry;
}
