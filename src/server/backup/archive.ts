import { createHash } from "node:crypto";
import { createWriteStream } from "node:fs";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { sql } from "drizzle-orm";
import { ZipFile } from "yazl";
import { canonicalJson } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import { type PictureSize, type Pictures, pictureName } from "@/server/db/pictures";

export const FORMAT = "good-spindle-archive";
export const FORMAT_VERSION = 2;
/** Members in the order in which they can be put back: parents before what refers to them. */
export const TABLES = [
  "settings",
  "owners",
  "files",
  "jobs",
  "loose_readings",
  "shelf_parts",
  "stock_moves",
  "entries",
] as const;
export type Table = (typeof TABLES)[number];
export type Row = Readonly<Record<string, unknown>>;

export interface Manifest {
  readonly format: string;
  readonly version: number;
  readonly counts: Readonly<Record<string, number>>;
  /** SHA-256 of each member, by name. */
  readonly members: Readonly<Record<string, string>>;
}

export const memberOf = (table: Table): string => `${table.replaceAll("_", "-")}.ndjson`;
export const PICTURES = /^pictures\/([0-9a-f]{2})\/([0-9a-f]{64}(?:\.small)?\.jpg)$/;

/** A fixed moment: the same shop gives the same bytes whenever it is exported. */
const MADE_AT = new Date("2000-01-01T00:00:00Z");
const MODE = 0o100600;
const BATCH = 1000;

async function rowsOf(on: Executor, query: ReturnType<typeof sql>): Promise<readonly Row[]> {
  const { rows } = (await on.execute(query)) as unknown as {
    readonly rows: readonly { readonly row: Row }[];
  };
  return rows.map(({ row }) => row);
}

/** What the shop was at one moment: small tables whole, and how far each log went. */
interface Cut {
  readonly small: ReadonlyMap<Table, readonly Row[]>;
  readonly lastSeq: ReadonlyMap<number, number>;
}

/** Order of each small table. */
const ORDER: Readonly<Record<Exclude<Table, "entries">, string>> = {
  settings: "id",
  owners: "id",
  files: "sha256",
  jobs: "id",
  loose_readings: "id",
  shelf_parts: "id",
  stock_moves: "id",
};

async function hasTable(on: Executor, table: string): Promise<boolean> {
  const found = await rowsOf(on, sql`select to_jsonb(t) as row from pg_tables t where tablename = ${table}`);
  return found.length > 0;
}

async function cutOf(db: Executor): Promise<Cut> {
  return db.transaction(
    async (tx) => {
      await tx.execute(sql`set local time zone 'UTC'`);
      const small = new Map<Table, readonly Row[]>();
      // Before an upgrade the database is an older one: a table that came later has nothing to tell yet.
      for (const [table, order] of Object.entries(ORDER))
        if (await hasTable(tx, table))
          small.set(
            table as Table,
            await rowsOf(tx, sql.raw(`select to_jsonb(t) as row from ${table} t order by ${order}`)),
          );
      const logs = await rowsOf(
        tx,
        sql`select jsonb_build_object('job', job_id, 'last', max(seq)) as row from entries group by job_id`,
      );
      return { small, lastSeq: new Map(logs.map(({ job, last }) => [Number(job), Number(last)])) };
    },
    { isolationLevel: "repeatable read", accessMode: "read only" },
  );
}

interface KeptLine {
  readonly job: number;
  readonly seq: number;
  /** As the database writes it: its keys always stand in the same order. */
  readonly text: string;
}

/**
 * Lines of every log up to the cut, a batch at a time: the log is only added to, so no transaction is held meanwhile, and
 * between two batches whoever waits for the database is served.
 */
async function* entriesUpTo(db: Executor, { lastSeq }: Cut): AsyncGenerator<readonly string[]> {
  let [job, seq] = [0, 0];
  for (;;) {
    const batch = await db.transaction(async (tx) => {
      await tx.execute(sql`set local time zone 'UTC'`);
      const { rows } = (await tx.execute(
        sql`select job_id as job, seq, to_jsonb(e)::text as text from entries e
            where (job_id, seq) > (${job}, ${seq}) order by job_id, seq limit ${BATCH}`,
      )) as unknown as { readonly rows: readonly KeptLine[] };
      return rows;
    });
    const last = batch.at(-1);
    if (!last) return;
    [job, seq] = [last.job, last.seq];
    yield batch.filter((line) => line.seq <= (lastSeq.get(line.job) ?? 0)).map(({ text }) => text);
  }
}

/** The bytes of a picture, read when its turn has come: a shop has more of them than fit in memory. */
async function* bytesOf(pictures: Pictures, sha256: string, size: PictureSize): AsyncGenerator<Buffer> {
  const bytes = await pictures.read(sha256, size);
  if (bytes) yield Buffer.from(bytes);
}

/** The shop as one streamed archive; never more than a batch of its log in memory. */
export async function writeArchive(db: Executor, pictures: Pictures, path: string): Promise<Manifest> {
  const cut = await cutOf(db);
  const counts: Record<string, number> = Object.fromEntries(TABLES.map((table) => [table, 0]));
  const members = new Map<string, string>();
  const zip = new ZipFile();
  const add = (name: string, pieces: AsyncIterable<string | Buffer>, compress: boolean): void => {
    const hash = createHash("sha256");
    async function* hashed(): AsyncGenerator<string | Buffer> {
      for await (const piece of pieces) {
        hash.update(piece);
        yield piece;
      }
      members.set(name, hash.digest("hex"));
    }
    zip.addReadStream(Readable.from(hashed()), name, { mtime: MADE_AT, mode: MODE, compress });
  };
  async function* lines(table: Table): AsyncGenerator<string> {
    const small = (cut.small.get(table) ?? []).map(canonicalJson);
    for await (const batch of table === "entries" ? entriesUpTo(db, cut) : [small]) {
      counts[table] = (counts[table] ?? 0) + batch.length;
      if (batch.length > 0) yield `${batch.join("\n")}\n`;
    }
  }
  for (const table of TABLES) add(memberOf(table), lines(table), true);
  for (const file of cut.small.get("files") ?? []) {
    const sha = String(file["sha256"]);
    for (const size of ["whole", "small"] as const) {
      if (await pictures.has(sha, size)) add(pictureName(sha, size), bytesOf(pictures, sha, size), false);
    }
  }
  const manifest = (): Manifest => ({
    format: FORMAT,
    version: FORMAT_VERSION,
    counts,
    members: Object.fromEntries(members),
  });
  async function* manifestText(): AsyncGenerator<string> {
    yield `${canonicalJson(manifest())}\n`;
  }
  zip.addReadStream(Readable.from(manifestText()), "manifest.json", { mtime: MADE_AT, mode: MODE });
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path, { mode: 0o600, flush: true }));
  return manifest();
}
