import { type SQL, sql } from "drizzle-orm";
import type { Executor } from "@/server/db/executor";
import type { Pictures } from "@/server/db/pictures";
import { rowsOf } from "@/server/db/rows";
import { type Manifest, TABLES, type Table } from "./archive-format";
import type { ArchiveStep, StepDone } from "./archive-steps";
import { type ArchiveHand, archiveHand } from "./archive-thread";
import { Turns } from "./turns";

/** Rows of a table as the database writes them, a line each: their keys always stand in the same order. */
interface Lines {
  readonly count: number;
  readonly text: string;
}

/** What the shop was at one moment: small tables whole, and how far each log went. */
interface Cut {
  readonly small: ReadonlyMap<Table, Lines>;
  readonly pictures: readonly string[];
  /** Jobs in order, each with its last line. */
  readonly logs: readonly (readonly [job: number, last: number])[];
}

/** Small tables, each with what it is ordered by. */
const ORDER: readonly (readonly [Exclude<Table, "entries">, string])[] = [
  ["settings", "id"],
  ["owners", "id"],
  ["files", "sha256"],
  ["jobs", "id"],
  ["loose_readings", "id"],
  ["shelf_parts", "id"],
  ["stock_moves", "id"],
];

async function one<T>(on: Executor, statement: SQL): Promise<T | undefined> {
  const [row] = await rowsOf<T>(on, statement);
  return row;
}

async function hasTable(on: Executor, table: string): Promise<boolean> {
  return (await one(on, sql`select 1 as here from pg_tables where tablename = ${table}`)) !== undefined;
}

const NO_LINES: Lines = { count: 0, text: "" };

async function cutOf(db: Executor): Promise<Cut> {
  return db.transaction(
    async (tx) => {
      await tx.execute(sql`set local time zone 'UTC'`);
      const small = new Map<Table, Lines>();
      // Before an upgrade the database is an older one: a table that came later has nothing to tell yet.
      for (const [table, order] of ORDER)
        if (await hasTable(tx, table)) {
          const lines = await one<Lines>(
            tx,
            sql.raw(`select count(*)::int as count,
              coalesce(string_agg(row_to_json(t)::text, E'\\n' order by ${order}), '') as text from ${table} t`),
          );
          small.set(table, lines ?? NO_LINES);
        }
      const files = small.has("files")
        ? await one<{ readonly hashes: readonly string[] }>(
            tx,
            sql`select coalesce(json_agg(sha256 order by sha256), '[]') as hashes from files`,
          )
        : undefined;
      const ends = await one<{ readonly logs: Cut["logs"] }>(
        tx,
        // Asked of the index job by job: to read every line would hold everybody for as long as that takes.
        sql`select coalesce(json_agg(json_build_array(job, last) order by job), '[]') as logs
            from (select id as job, (select max(seq) from entries where job_id = id) as last from jobs) ends
            where last is not null`,
      );
      return { small, pictures: files?.hashes ?? [], logs: ends?.logs ?? [] };
    },
    { isolationLevel: "repeatable read", accessMode: "read only" },
  );
}

const listOf = (numbers: readonly number[]): string => `{${numbers.join(",")}}`;

/**
 * Lines of every log up to the cut, some jobs at a time: the log is only added to, so no transaction is held meanwhile,
 * and between two turns whoever waits for the database is served.
 */
async function* entriesUpTo(db: Executor, { logs }: Cut): AsyncGenerator<Lines> {
  const turns = new Turns();
  for (let from = 0; from < logs.length; ) {
    let [to, lines] = [from, 0];
    while (to < logs.length && (to === from || lines < turns.size)) {
      lines += logs[to]?.[1] ?? 0;
      to += 1;
    }
    const lot = logs.slice(from, to);
    // The range is what the index is asked for; the cut leaves out what came since.
    const [first, last] = [lot[0]?.[0] ?? 0, lot.at(-1)?.[0] ?? 0];
    from = to;
    const read = await turns.take(lines, (began) =>
      db.transaction(async (tx) => {
        began();
        await tx.execute(sql`set local time zone 'UTC'`);
        return one<Lines>(
          tx,
          sql`select count(*)::int as count,
                coalesce(string_agg(row_to_json(e)::text, E'\n' order by e.job_id, e.seq), '') as text
              from unnest(${listOf(lot.map(([job]) => job))}::int[], ${listOf(lot.map(([, seq]) => seq))}::int[])
                as cut (job, last)
              join entries e on e.job_id = cut.job and e.seq <= cut.last
              where e.job_id between ${first}::int and ${last}::int`,
        );
      }),
    );
    if (read) yield read;
    // A turn that is followed at once by the next one would let nobody in whose request has not been read yet.
    await new Promise(setImmediate);
  }
}

/** Steps one after the other, the next one got ready while the last is taken. */
class Steps {
  private last: Promise<StepDone> = Promise.resolve({});

  constructor(private readonly hand: ArchiveHand) {}

  async take(step: ArchiveStep): Promise<void> {
    await this.over();
    this.last = this.hand.ask(step);
    // Told by whoever waits for it.
    this.last.catch(() => undefined);
  }

  /** @throws {Error} with what the disk said */
  async over(): Promise<StepDone> {
    const done = await this.last;
    if (done.failed !== undefined) throw new Error(done.failed);
    return done;
  }
}

async function addPictures(steps: Steps, pictures: Pictures, hashes: readonly string[]): Promise<void> {
  const { folder } = pictures;
  if (folder !== undefined) return steps.take({ step: "pictures", folder, hashes });
  for (const sha256 of hashes)
    for (const size of ["whole", "small"] as const) {
      const bytes = await pictures.read(sha256, size);
      if (bytes) await steps.take({ step: "picture", sha256, size, bytes });
    }
}

/** The shop as one streamed archive; never more than two turns of its log in memory. */
export async function writeArchive(
  db: Executor,
  pictures: Pictures,
  path: string,
  hand: ArchiveHand = archiveHand(),
): Promise<Manifest> {
  const steps = new Steps(hand);
  try {
    const cut = await cutOf(db);
    await steps.take({ step: "begin", path });
    for (const table of TABLES) {
      await steps.take({ step: "lines", table, ...(cut.small.get(table) ?? NO_LINES) });
      if (table === "entries")
        for await (const lines of entriesUpTo(db, cut)) await steps.take({ step: "lines", table, ...lines });
    }
    await addPictures(steps, pictures, cut.pictures);
    await steps.take({ step: "finish" });
    const { manifest } = await steps.over();
    if (!manifest) throw new Error("the archive was not finished");
    return manifest;
  } finally {
    await hand.ask({ step: "drop" });
  }
}
