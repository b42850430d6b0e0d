import {
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { basename, dirname, join } from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { sql } from "drizzle-orm";
import { fail, issue, ok, type Result } from "@/core/result";
import { openFolder } from "@/server/db/connect";
import type { Executor } from "@/server/db/executor";
import { syncTree } from "@/server/db/folder";
import { type Manifest, memberOf, PICTURES, TABLES, type Table } from "./archive-format";
import { boundedLines } from "./bounded-lines";
import { readArchive, verifyArchive } from "./read-archive";

const BATCH = 500;
/** More than any row of ours is long, bytes. */
const LONGEST_ROW = 16 * 1024 * 1024;
/** Says to the first start that this shop is a backup of some time ago. */
export const PUT_BACK = "put-back.json";

async function putBack(db: Executor, table: Table, rows: readonly string[]): Promise<void> {
  if (rows.length === 0) return;
  await db.transaction(async (tx) => {
    // Not a line of them is noted one by one.
    await tx.execute(sql`set local good_spindle.playing_in = 'yes'`);
    await tx.execute(
      sql`insert into ${sql.raw(table)} overriding system value
          select * from jsonb_populate_recordset(${sql.raw(`null::${table}`)}, ${`[${rows.join(",")}]`}::jsonb)`,
    );
  });
}

async function putBackTable(db: Executor, table: Table, from: Readable): Promise<void> {
  let batch: string[] = [];
  for await (const line of boundedLines(from, {
    mostLines: Number.POSITIVE_INFINITY,
    longest: LONGEST_ROW,
  })) {
    batch.push(line);
    if (batch.length < BATCH) continue;
    await putBack(db, table, batch);
    batch = [];
  }
  await putBack(db, table, batch);
}

/** The next job and the next owner get numbers of their own. */
async function numberOn(db: Executor): Promise<void> {
  for (const table of ["jobs", "owners"])
    await db.execute(
      sql.raw(
        `select setval(pg_get_serial_sequence('${table}', 'id'), most) from (select max(id) as most from ${table}) t where most is not null`,
      ),
    );
}

/**
 * Builds a shop from an archive in a folder of its own: numbers, times and every line as they were. The archive is read
 * through and checked before anything is made.
 */
export async function restoreArchive(
  path: string,
  folder: string,
  tell: (sentence: string) => void = console.log,
): Promise<Result<Manifest>> {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    return fail(
      issue("folder", "archive/folder-not-empty", `${folder} is not empty: name a new folder.`, folder),
    );
  const checked = await verifyArchive(path);
  if (!checked.ok) return checked;
  // Under another name until it is whole: a restore that is cut short leaves no shop that anybody could start.
  const part = `${folder}.part`;
  rmSync(part, { recursive: true, force: true });
  const shop = await openFolder(part, `process ${process.pid} (restoring)`, { tell });
  try {
    await readArchive(path, {
      member: async (name, open) => {
        const table = TABLES.find((one) => memberOf(one) === name);
        if (table) await putBackTable(shop.db, table, await open());
        else if (PICTURES.test(name)) {
          const to = join(part, name);
          mkdirSync(dirname(to), { recursive: true });
          await pipeline(await open(), createWriteStream(to, { mode: 0o600, flush: true }));
        }
      },
    });
    await numberOn(shop.db);
    // So many rows at once, and the database would look for each of them as in a shop of a few.
    await shop.db.execute(sql`analyze`);
    // A number that no line has: the next opening finds the journal wanting and begins it with a whole copy.
    await shop.db.execute(sql`update journal_head set n = n + 1`);
  } finally {
    await shop.close();
  }
  rmSync(join(part, "journal"), { recursive: true });
  writeFileSync(join(part, PUT_BACK), JSON.stringify({ from: basename(path) }), { mode: 0o600 });
  syncTree(part);
  rmSync(folder, { recursive: true, force: true });
  renameSync(part, folder);
  return ok(checked.value);
}
