import { and, asc, eq, getTableColumns, gt, gte, inArray, sql } from "drizzle-orm";
import type { Entry, NewEntry } from "@/core/job/log/entry";
import { STAGES } from "@/core/job/stages";
import { currentVersion, readLine } from "@/log/read-payload";
import type { Executor } from "@/server/db/executor";
import { rowsOf } from "@/server/db/rows";
import { entries } from "@/server/db/schema";

/** Rows of one statement: a statement takes no more than 65,535 values. */
const BATCH = 500;

type Row = typeof entries.$inferSelect;

/** A row that does not fit its schema becomes a line that cannot be read: it takes nothing else down. */
function toEntry(row: Row): Entry {
  const { entryId, jobId, seq, kindVersion, shown, knowledgeVersion, settingsVersion, by } = row;
  const stage = STAGES.find((one) => one === row.stage) ?? "take-in";
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
    ...readLine(row.kind, row.payload, row.kindVersion),
  } as Entry;
}

export async function entriesOf(on: Executor, jobId: number): Promise<Entry[]> {
  return entriesAfter(on, jobId, 0);
}

/** Lines of a log after a given one, in order. */
export async function entriesAfter(on: Executor, jobId: number, seq: number): Promise<Entry[]> {
  const rows = await on
    .select()
    .from(entries)
    .where(and(eq(entries.jobId, jobId), gt(entries.seq, seq)))
    .orderBy(asc(entries.seq));
  return rows.map(toEntry);
}

/**
 * Every line of some logs, in order, as lines of JSON: one text for all of them takes a third of the time that as many rows
 * take. {@link logsIn} reads it.
 */
export async function logTextOf(on: Executor, jobIds: readonly number[]): Promise<string> {
  if (jobIds.length === 0) return "";
  const [row] = await rowsOf<{ readonly text: string | null }>(
    on,
    sql`select string_agg(row_to_json(e)::text, E'\n' order by e.job_id, e.seq) as text
        from entries e where e.job_id = any(${`{${jobIds.join(",")}}`}::int[])`,
  );
  return row?.text ?? "";
}

const COLUMNS = Object.entries(getTableColumns(entries)).map(
  ([name, { name: column }]) => [column, name] as const,
);

/** The logs that a text of them holds, by job. */
export function logsIn(text: string): ReadonlyMap<number, readonly Entry[]> {
  const logs = new Map<number, Entry[]>();
  for (const line of text === "" ? [] : text.split("\n")) {
    const kept: Readonly<Record<string, unknown>> = JSON.parse(line);
    const row = Object.fromEntries(COLUMNS.map(([column, name]) => [name, kept[column]])) as Row;
    const log = logs.get(row.jobId);
    if (log) log.push(toEntry(row));
    else logs.set(row.jobId, [toEntry(row)]);
  }
  return logs;
}

/** Every line of some logs, by job, in order. */
export async function logsOfJobs(
  on: Executor,
  jobIds: readonly number[],
): Promise<ReadonlyMap<number, readonly Entry[]>> {
  return logsIn(await logTextOf(on, jobIds));
}

/** How far some logs go, by job; each is asked of the index by itself, whatever is known of how large the shop is. */
export async function lastLines(
  on: Executor,
  jobIds: readonly number[],
): Promise<ReadonlyMap<number, number>> {
  const rows = await rowsOf<{ readonly job: number; readonly last: number }>(
    on,
    sql`select job, coalesce((select max(e.seq) from entries e where e.job_id = job), 0) as last
        from unnest(${`{${jobIds.join(",")}}`}::int[]) as job`,
  );
  return new Map(rows.map(({ job, last }) => [job, last]));
}

/** Lines of some kinds, in order: of every job since an instant, or of some jobs. */
export async function entriesOfKinds(
  on: Executor,
  kinds: readonly string[],
  which: { readonly since: string } | { readonly jobIds: readonly number[] },
): Promise<Entry[]> {
  const where = "since" in which ? gte(entries.at, which.since) : inArray(entries.jobId, [...which.jobIds]);
  const rows = await on
    .select()
    .from(entries)
    .where(and(inArray(entries.kind, [...kinds]), where))
    .orderBy(asc(entries.jobId), asc(entries.seq));
  return rows.map(toEntry);
}

export async function entryById(
  on: Executor,
  entryId: string,
): Promise<{ jobId: number; seq: number; kind: string; postedHash: string | null } | undefined> {
  const rows = await on
    .select({
      jobId: entries.jobId,
      seq: entries.seq,
      kind: entries.kind,
      postedHash: entries.postedHash,
    })
    .from(entries)
    .where(eq(entries.entryId, entryId));
  return rows[0];
}

/** Which job lines of these ids lie in, of any job; undefined where there are none. */
export async function jobOfAny(on: Executor, entryIds: readonly string[]): Promise<number | undefined> {
  const rows = await on
    .select({ jobId: entries.jobId })
    .from(entries)
    .where(inArray(entries.entryId, [...entryIds]))
    .limit(1);
  return rows[0]?.jobId;
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
  readonly postedHash: string;
}

/** A line as the log will have it. */
export function lineAt({ postedHash: _, ...placed }: Placement, entry: NewEntry): Entry {
  return { ...placed, kindVersion: currentVersion(entry.kind), ...entry } as Entry;
}

/** Many lines at a time, as a log that comes from elsewhere has them. */
export async function appendEntries(
  on: Executor,
  lines: readonly { readonly place: Placement; readonly entry: NewEntry }[],
): Promise<Entry[]> {
  for (let from = 0; from < lines.length; from += BATCH)
    await on.insert(entries).values(
      lines.slice(from, from + BATCH).map(({ place, entry: { kind, payload } }) => ({
        ...place,
        kind,
        kindVersion: currentVersion(kind),
        payload,
      })),
    );
  return lines.map(({ place, entry }) => lineAt(place, entry));
}

export async function appendEntry(on: Executor, place: Placement, entry: NewEntry): Promise<Entry> {
  const { kind, payload } = entry;
  await on.insert(entries).values({ ...place, kind, kindVersion: currentVersion(kind), payload });
  return lineAt(place, entry);
}
