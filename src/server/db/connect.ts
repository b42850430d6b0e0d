import { existsSync, mkdirSync, readFileSync } from "node:fs";
import { resolve } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { drizzle as drizzleServer } from "drizzle-orm/node-postgres";
import { migrate as migrateServer } from "drizzle-orm/node-postgres/migrator";
import { drizzle as drizzleEmbedded } from "drizzle-orm/pglite";
import { migrate as migrateEmbedded } from "drizzle-orm/pglite/migrator";
import pg from "pg";
import type { Executor } from "./executor";
import { lockFolder } from "./lock";
import * as schema from "./schema";

export interface OpenDatabase {
  readonly db: Executor;
  readonly engine: "embedded" | "server";
  close(): Promise<void>;
}

const MIGRATIONS = { migrationsFolder: resolve("drizzle") };

/** Where the build leaves an empty database, so that a new folder opens in a second instead of eight. */
export const SNAPSHOT_PATH = resolve(".cache/empty-database.tar.gz");

function snapshot(): { loadDataDir: Blob } | Record<string, never> {
  return existsSync(SNAPSHOT_PATH)
    ? { loadDataDir: new Blob([new Uint8Array(readFileSync(SNAPSHOT_PATH))]) }
    : {};
}

/** Opens the folder, from the snapshot when it is new, and brings it to the newest schema. */
export async function openFolder(folder: string, who: string): Promise<OpenDatabase> {
  mkdirSync(folder, { recursive: true });
  const lock = await lockFolder(folder, who);
  const postgres = resolve(folder, "postgres");
  const isNew = !existsSync(resolve(postgres, "PG_VERSION"));
  const client = await PGlite.create(postgres, isNew ? snapshot() : {});
  const db = drizzleEmbedded(client, { schema });
  await migrateEmbedded(db, MIGRATIONS);
  return {
    db,
    engine: "embedded",
    close: async () => {
      await client.close();
      await lock.release();
    },
  };
}

/** A database that lives in memory only: for tests. */
export async function openInMemory(): Promise<OpenDatabase & { readonly client: PGlite }> {
  const client = await PGlite.create(snapshot());
  const db = drizzleEmbedded(client, { schema });
  await migrateEmbedded(db, MIGRATIONS);
  return { db, engine: "embedded", client, close: () => client.close() };
}

/** The same schema on a PostgreSQL server (15 or later). */
export async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url, max: 8 });
  const db = drizzleServer(pool, { schema });
  await migrateServer(db, MIGRATIONS);
  return { db, engine: "server", close: () => pool.end() };
}
