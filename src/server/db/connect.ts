import { randomUUID } from "node:crypto";
import { cpSync, existsSync, mkdtempSync, readFileSync, renameSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { drizzle as drizzleServer } from "drizzle-orm/node-postgres";
import { migrate as migrateServer } from "drizzle-orm/node-postgres/migrator";
import { drizzle as drizzleEmbedded } from "drizzle-orm/pglite";
import { migrate as migrateEmbedded } from "drizzle-orm/pglite/migrator";
import pg from "pg";
import type { Executor } from "./executor";
import {
  beginMaking,
  closeToOthers,
  EXIT,
  type FolderState,
  FolderTrouble,
  hasMarker,
  inspectFolder,
  isUnfinished,
  markFinished,
  notEmpty,
  prepareFolder,
  readMarker,
  troubleOf,
} from "./folder";
import { Journal, OtherShop } from "./journal";
import { JournalFiles } from "./journal-file";
import { lockFolder } from "./lock";
import { type OtherServers, otherServers } from "./other-servers";
import { type Pictures, picturesInFolder, picturesInTable } from "./pictures";
import * as schema from "./schema";
import { sweepAsides } from "./sweep-asides";
import { finishSwitch } from "./switch-shop";
import { SYNCED_START, SyncedFolder } from "./synced-folder";
import { Upkeep } from "./upkeep";

export interface OpenDatabase {
  readonly db: Executor;
  readonly engine: "embedded" | "server";
  readonly pictures: Pictures;
  /** Over when all that was committed before stands in the journal too. */
  written(): Promise<void>;
  /** Takes an owner out of the database, by `redact`, and out of the journal's older lines. */
  forgetOwner(id: number, redact: () => Promise<void>): Promise<void>;
  /** Over when the journal was read through and whatever it lacked was mended. */
  readonly checked: Promise<void>;
  /** What the journal was ever found to lack, a sentence a line. */
  lackedInJournal(): readonly string[];
  /** Only where several servers may work on one database. */
  readonly others?: OtherServers;
  close(): Promise<void>;
}

/** No journal: a server's own durability counts, and what lives in memory is for tests. */
const NO_JOURNAL = {
  written: () => Promise.resolve(),
  forgetOwner: (_: number, redact: () => Promise<void>) => redact(),
  checked: Promise.resolve(),
  lackedInJournal: () => [],
};

const MIGRATIONS = { migrationsFolder: resolve("drizzle") };

/** Where the start leaves an empty database with the newest schema, so that a new shop opens in half a second instead of eight. */
const SNAPSHOT_FOLDER = resolve(".cache/empty-shop");

/** What a start has to tell about the folder it opened. */
export type Told = (sentence: string) => void;

/** Something to be done before a database is brought to a newer schema. */
export type BeforeUpgrade = (shop: Pick<OpenDatabase, "db" | "pictures">) => Promise<void>;

interface Opening {
  readonly tell?: Told;
  readonly beforeUpgrade?: BeforeUpgrade | undefined;
}

/** Whether a database that has a schema lacks the newest one. */
async function isOlder(client: PGlite): Promise<boolean> {
  const { entries } = JSON.parse(
    readFileSync(join(MIGRATIONS.migrationsFolder, "meta/_journal.json"), "utf8"),
  ) as {
    readonly entries: readonly { readonly when: number }[];
  };
  const { rows: tables } = await client.query(
    "select 1 from pg_tables where tablename = '__drizzle_migrations'",
  );
  if (tables.length === 0) return false;
  const { rows } = await client.query<{ last: string | null }>(
    "select max(created_at)::text as last from drizzle.__drizzle_migrations",
  );
  const last = rows[0]?.last ?? null;
  return last !== null && entries.some(({ when }) => when > Number(last));
}

/** A sync that fails leaves nobody knowing what is on the disk. */
function stopServer(error: unknown): void {
  console.error(
    `The disk did not take what was written (${String(error)}): stopping, so that nothing is lost.`,
  );
  process.exit(EXIT.damaged);
}

/**
 * The old database is kept beside; the journal fills a new one.
 * @param what is the matter with it
 */
function setAside(folder: string, what: string, tell: Told): void {
  const postgres = join(folder, "postgres");
  if (new JournalFiles(join(folder, "journal"), stopServer).names().length === 0)
    throw new FolderTrouble(
      EXIT.damaged,
      `The database in ${folder} is damaged (${what}) and there is no journal to rebuild it from: nothing was changed. Put a backup of the folder in its place, or start with another folder: --data DIR.`,
    );
  const aside = `postgres-damaged-${new Date().toISOString().replace(/[:.]/g, "-")}`;
  const isKept = existsSync(postgres);
  if (isKept) renameSync(postgres, join(folder, aside));
  tell(
    `The database in ${folder} is damaged (${what}): it is built anew from the journal${isKept ? `; the old one is kept as ${aside}` : ""}.`,
  );
  beginMaking(folder, "rebuild");
}

/** An engine that does not open its files: their damage, as far as it says. */
class DoesNotOpen extends Error {}

async function openEngine(folder: string, isNew: boolean): Promise<PGlite> {
  const postgres = join(folder, "postgres");
  try {
    if (isNew && existsSync(SNAPSHOT_FOLDER)) cpSync(SNAPSHOT_FOLDER, postgres, { recursive: true });
    const fs = new SyncedFolder(postgres, stopServer);
    return await PGlite.create({ fs, startParams: SYNCED_START });
  } catch (error) {
    const said = error instanceof Error ? (error.message.split("\n")[0] ?? "") : String(error);
    throw troubleOf(error, folder) ?? new DoesNotOpen(`it does not open: ${said}`);
  }
}

/** The engine on what lies there, or on a new database that the journal then fills. */
async function openOrRebuild(folder: string, state: FolderState, tell: Told): Promise<PGlite> {
  if (state.kind === "foreign") throw notEmpty(folder, state.found);
  if (state.kind === "new") beginMaking(folder, "first-start");
  if (state.kind === "damaged") setAside(folder, `missing: ${state.missing.join(", ")}`, tell);
  try {
    return await openEngine(folder, state.kind !== "whole");
  } catch (error) {
    if (!(error instanceof DoesNotOpen)) throw error;
    setAside(folder, error.message, tell);
    return openEngine(folder, true);
  }
}

/**
 * Opens the folder and brings its database to the newest schema and to the end of its journal. A new one begins from the
 * snapshot; a damaged one is built anew from the journal; a folder that is neither is refused.
 * @throws {FolderTrouble} in one sentence; {@link FolderInUse} where another process has it
 */
export async function openFolder(
  folder: string,
  who: string,
  { tell = console.log, beforeUpgrade }: Opening = {},
): Promise<OpenDatabase> {
  prepareFolder(folder);
  const lock = await lockFolder(folder, who);
  try {
    sweepAsides(folder);
    finishSwitch(folder);
    const state = inspectFolder(folder);
    const client = await openOrRebuild(folder, state, tell);
    const db = drizzleEmbedded(client, { schema });
    const pictures = picturesInFolder(() => folder);
    if (state.kind === "whole" && (await isOlder(client))) await beforeUpgrade?.({ db, pictures });
    await migrateEmbedded(db, MIGRATIONS);
    const files = new JournalFiles(join(folder, "journal"), stopServer);
    const kept = readMarker(folder);
    const marker = kept ?? { identity: files.identityOr(randomUUID()), madeAt: new Date().toISOString() };
    const journal = new Journal(client, files);
    noteWrites(client, journal);
    const caught = await journal.open(marker.identity);
    if (caught.toDatabase > 0) tell(`${caught.toDatabase} lines of the journal were put back.`);
    for (const sentence of caught.lacks) tell(sentence);
    closeToOthers(folder);
    if (!kept && hasMarker(folder)) tell(`${folder}/folder.json could not be read: it was written anew.`);
    if (!kept || isUnfinished(folder)) markFinished(folder, marker);
    const upkeep = new Upkeep(client);
    await upkeep.begin();
    // A journal of years takes seconds to read: nobody waits for it.
    const checked = journal.check().then(
      (lacks) => lacks.forEach(tell),
      (error: unknown) =>
        tell(
          `The journal could not be read through (${error instanceof Error ? error.name : "error"}): the next start tries again.`,
        ),
    );
    return {
      checked,
      lackedInJournal: () => files.lacked(),
      db: answeringAfter(
        db,
        () => journal.note(),
        () => journal.flush(),
      ),
      engine: "embedded",
      pictures,
      written: () => journal.flush(),
      forgetOwner: (id, redact) => journal.forgetOwner(id, redact),
      close: async () => {
        await upkeep.end();
        await journal.close();
        await checked;
        await client.close();
        closeToOthers(folder);
        await lock.release();
      },
    };
  } catch (error) {
    await lock.release();
    if (error instanceof OtherShop)
      throw new FolderTrouble(
        EXIT.damaged,
        `In ${folder} ${error.message} (each is named in folder.json, journal/belongs-to.txt and the database itself): nothing was played in. Put back what belongs together, or restore a backup into a new folder.`,
      );
    throw troubleOf(error, folder) ?? error;
  }
}

/** The journal hears of every statement that may have written, before whoever sent it does. */
function noteWrites(client: PGlite, journal: Journal): void {
  const query = client.query.bind(client);
  client.query = async <T>(...given: Parameters<typeof query>) => {
    const done = await query<T>(...given);
    if (!/^\s*select/i.test(given[0])) journal.note();
    return done;
  };
}

/** The same database, whose transactions are over only when what they wrote stands in the journal. */
function answeringAfter<T extends Executor>(db: T, note: () => void, written: () => Promise<void>): T {
  const transact = db.transaction.bind(db);
  db.transaction = async (...given) => {
    const done = await transact(...given);
    note();
    await written();
    return done;
  };
  return db;
}

/** A database that is gone when it is closed, neither synced nor journalled: for tests. */
export async function openScratch(): Promise<OpenDatabase & { readonly client: PGlite }> {
  const folder = mkdtempSync(join(tmpdir(), "spindle-scratch-"));
  if (existsSync(SNAPSHOT_FOLDER)) cpSync(SNAPSHOT_FOLDER, folder, { recursive: true });
  const client = await PGlite.create(folder);
  const db = drizzleEmbedded(client, { schema });
  await migrateEmbedded(db, MIGRATIONS);
  const pictures = picturesInFolder(() => resolve(process.env["GOOD_SPINDLE_DATA"] ?? "data"));
  return {
    ...NO_JOURNAL,
    db,
    engine: "embedded",
    pictures,
    client,
    close: async () => {
      await client.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** The same schema on a PostgreSQL server (15 or later). */
export async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 8 });
  // A connection that is cut while nobody uses it: the next one asked for is a new one.
  pool.on("error", (error) =>
    console.error(`The PostgreSQL server closed a connection (${error.message}): it is asked again.`),
  );
  // One that is cut while it is used says so to whoever uses it; unheard, it would end the server.
  pool.on("connect", (client) => client.on("error", () => undefined));
  await migrateAlone(pool);
  const others = otherServers(url, pool);
  const db = drizzleServer(pool, { schema });
  return {
    ...NO_JOURNAL,
    db,
    engine: "server",
    pictures: picturesInTable(db),
    others,
    close: async () => {
      await others.close();
      await pool.end();
    },
  };
}

/** Any number that no other program of this database locks by. */
const MIGRATION_LOCK = 4_711_202_611;

/** One server brings the database to the newest schema; those that start at the same time wait and find it done. */
async function migrateAlone(pool: pg.Pool): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query("select pg_advisory_lock($1)", [MIGRATION_LOCK]);
    await migrateServer(drizzleServer(client, { schema }), MIGRATIONS);
    await client.query("select pg_advisory_unlock($1)", [MIGRATION_LOCK]);
  } finally {
    // Closed, not given back: a lock that a failed migration left goes with its connection.
    client.release(true);
  }
}
