import { and, desc, eq, getTableColumns, inArray, isNull, ne, or, type SQL, sql } from "drizzle-orm";
import type { Lesson } from "@/core/isolation/lesson";
import type { Standing } from "@/core/job/standing";
import type { Executor } from "@/server/db/executor";
import { jobFacts, jobs, owners, shopCounts } from "@/server/db/schema";

type Row = typeof jobFacts.$inferSelect;

/** What is kept of a job beside its log. */
export type JobFacts = Omit<Row, "standing" | "lesson"> & {
  readonly standing: Standing;
  readonly lesson: Lesson | null;
};

/** What facts are worked out with; those of another basis are worked out again. */
export type FactsBasis = Pick<Row, "madeWith" | "limitsOf">;

export interface StandingRow extends Pick<Row, "jobId" | "touchedAt"> {
  readonly standing: Standing;
  readonly ownerName: string;
  readonly isStale: boolean;
}

/** After which job a page goes on. */
export interface Cursor {
  readonly touchedAt: string;
  readonly jobId: number;
}

const instant = (value: string): string => new Date(value).toISOString();

export async function factsOf(on: Executor, jobId: number): Promise<JobFacts | undefined> {
  const rows = await on.select().from(jobFacts).where(eq(jobFacts.jobId, jobId));
  return rows[0] && ({ ...rows[0], touchedAt: instant(rows[0].touchedAt) } as JobFacts);
}

const COLUMNS = Object.entries(getTableColumns(jobFacts)).map(
  ([name, { name: column }]) => [name, column] as const,
);
const REPLACED = COLUMNS.filter(([name]) => name !== "jobId")
  .map(([, column]) => `"${column}" = excluded."${column}"`)
  .join(", ");

/** As one value, however many they are: a parameter for each field takes twice as long. */
export async function putFacts(on: Executor, facts: readonly JobFacts[]): Promise<void> {
  if (facts.length === 0) return;
  const rows = facts.map((one) =>
    Object.fromEntries(COLUMNS.map(([name, column]) => [column, one[name as keyof JobFacts]])),
  );
  await on.execute(
    sql`insert into job_facts select * from jsonb_populate_recordset(null::job_facts, ${JSON.stringify(rows)}::jsonb)
        on conflict (job_id) do update set ${sql.raw(REPLACED)}`,
  );
}

/** @returns false where the job has none yet */
export async function changeFacts(
  on: Executor,
  facts: Partial<JobFacts> & Pick<JobFacts, "jobId">,
): Promise<boolean> {
  const { jobId, ...rest } = facts;
  const changed = await on
    .update(jobFacts)
    .set(rest)
    .where(eq(jobFacts.jobId, jobId))
    .returning({ jobId: jobFacts.jobId });
  return changed.length === 1;
}

async function standing(on: Executor, where: SQL | undefined, basis: FactsBasis, limit: number) {
  const rows = await on
    .select({
      jobId: jobFacts.jobId,
      touchedAt: jobFacts.touchedAt,
      standing: jobFacts.standing,
      ownerName: owners.name,
      madeWith: jobFacts.madeWith,
      limitsOf: jobFacts.limitsOf,
    })
    .from(jobFacts)
    .leftJoin(owners, eq(owners.id, jobFacts.ownerId))
    .where(where)
    .orderBy(desc(jobFacts.touchedAt), desc(jobFacts.jobId))
    .limit(limit);
  return rows.map(
    ({ madeWith, limitsOf, ...row }): StandingRow => ({
      jobId: row.jobId,
      touchedAt: instant(row.touchedAt),
      standing: row.standing as Standing,
      ownerName: row.ownerName ?? "",
      isStale: madeWith !== basis.madeWith || limitsOf !== basis.limitsOf,
    }),
  );
}

/** A page of the machines that are here, or of those that are not any more: last touched first. */
export async function standingPage(
  on: Executor,
  asked: { readonly isHere: boolean; readonly after: Cursor | undefined; readonly limit: number },
  basis: FactsBasis,
): Promise<StandingRow[]> {
  const { isHere, after, limit } = asked;
  const beyond = after
    ? sql`(${jobFacts.touchedAt}, ${jobFacts.jobId}) < (${after.touchedAt}::timestamptz, ${after.jobId})`
    : undefined;
  return standing(on, and(eq(jobFacts.isHere, isHere), beyond), basis, limit);
}

export interface ListedRow extends Omit<StandingRow, "isStale"> {
  readonly createdAt: string;
}

/** A page of all machines, here or gone: last touched first. */
export async function listPage(
  on: Executor,
  { after, limit }: { readonly after: Cursor | undefined; readonly limit: number },
): Promise<ListedRow[]> {
  const rows = await on
    .select({
      jobId: jobFacts.jobId,
      touchedAt: jobFacts.touchedAt,
      createdAt: jobs.createdAt,
      standing: jobFacts.standing,
      ownerName: owners.name,
    })
    .from(jobFacts)
    .innerJoin(jobs, eq(jobs.id, jobFacts.jobId))
    .leftJoin(owners, eq(owners.id, jobFacts.ownerId))
    .where(
      after
        ? sql`(${jobFacts.touchedAt}, ${jobFacts.jobId}) < (${after.touchedAt}::timestamptz, ${after.jobId})`
        : undefined,
    )
    .orderBy(desc(jobFacts.touchedAt), desc(jobFacts.jobId))
    .limit(limit);
  return rows.map((row) => ({
    jobId: row.jobId,
    touchedAt: instant(row.touchedAt),
    createdAt: instant(row.createdAt),
    standing: row.standing as Standing,
    ownerName: row.ownerName ?? "",
  }));
}

export async function standingOfJobs(
  on: Executor,
  jobIds: readonly number[],
  basis: FactsBasis,
): Promise<StandingRow[]> {
  if (jobIds.length === 0) return [];
  return standing(on, inArray(jobFacts.jobId, [...jobIds]), basis, jobIds.length);
}

/** How many machines are here, and how many have left, as the trigger on `job_facts` keeps it. */
export async function countFacts(on: Executor): Promise<{ readonly here: number; readonly gone: number }> {
  const rows = await on
    .select()
    .from(shopCounts)
    .where(inArray(shopCounts.name, ['["here"]', '["gone"]']));
  const of = (name: string): number => (rows.find((row) => row.name === name)?.micro ?? 0) / 1e6;
  return { here: of('["here"]'), gone: of('["gone"]') };
}

/** A word as a part of folded text is looked for with it. */
export const likeOf = (word: string): string => `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** Jobs whose folded text holds every word: those on the bench first, then the last touched. */
export async function searchFacts(
  on: Executor,
  words: readonly string[],
  limit: number,
): Promise<readonly Omit<StandingRow, "isStale">[]> {
  const rows = await on
    .select({
      jobId: jobFacts.jobId,
      standing: jobFacts.standing,
      touchedAt: jobFacts.touchedAt,
      ownerName: owners.name,
    })
    .from(jobFacts)
    .leftJoin(owners, eq(owners.id, jobFacts.ownerId))
    .where(
      and(
        ...words.map(
          (word) => sql`${jobFacts.search} || ' ' || ${jobFacts.ownerSearch} like ${likeOf(word)}`,
        ),
      ),
    )
    .orderBy(desc(jobFacts.isHere), desc(jobFacts.touchedAt), desc(jobFacts.jobId))
    .limit(limit);
  return rows.map(({ jobId, standing: kept, touchedAt, ownerName }) => ({
    jobId,
    standing: kept as Standing,
    touchedAt: instant(touchedAt),
    ownerName: ownerName ?? "",
  }));
}

/** Jobs without facts, and those worked out otherwise than with `madeWith` where it is given: all of them, in order. */
export async function jobsToWorkOut(on: Executor, madeWith?: string): Promise<readonly number[]> {
  const rows = await on
    .select({ ids: sql<readonly number[]>`coalesce(json_agg(${jobs.id} order by ${jobs.id}), '[]')` })
    .from(jobs)
    .leftJoin(jobFacts, eq(jobFacts.jobId, jobs.id))
    .where(or(isNull(jobFacts.jobId), madeWith === undefined ? undefined : ne(jobFacts.madeWith, madeWith)));
  return rows[0]?.ids ?? [];
}

/** How jobs that were decided alike have ended. */
export interface PastDecision {
  readonly route: string;
  /** What was done first; empty where nothing was mended. */
  readonly repair: string;
  readonly closed: number;
  readonly repaired: number;
  readonly cameBack: number;
}

/** The shop's own closed jobs by the route that was taken and what was done first; another job than this one. */
export async function pastDecisions(on: Executor, jobId: number): Promise<PastDecision[]> {
  const decision = sql`${jobFacts.standing}->'decision'`;
  const rows = await on
    .select({
      route: sql<string>`${decision}->>'route'`,
      repair: sql<string>`coalesce(${decision}->'repairs'->>0, '')`,
      closed: sql<number>`count(*)::int`,
      repaired: sql<number>`(count(*) filter (where ${jobFacts.standing}->'signedOff'->>'word' = 'repaired'))::int`,
      cameBack: sql<number>`(count(*) filter (where jsonb_typeof(${jobFacts.standing}->'reopened') = 'object'))::int`,
    })
    .from(jobFacts)
    .where(
      and(
        ne(jobFacts.jobId, jobId),
        sql`jsonb_typeof(${decision}) = 'object'`,
        sql`jsonb_typeof(${jobFacts.standing}->'signedOff') = 'object'`,
      ),
    )
    .groupBy(sql`1`, sql`2`);
  return rows;
}
