import { createHash, randomBytes } from "node:crypto";
import { mkdirSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import sharp from "sharp";
import { openFolder } from "@/server/db/connect";
import type { Executor } from "@/server/db/executor";
import { setDatabase } from "@/server/db/shop-database";
import { countJobs } from "@/server/queries/jobs";
import { entriesOf } from "@/server/repositories/entries";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";

export interface LargeShop {
  readonly jobs: number;
  /** Jobs that are still on the bench; all others are signed off. */
  readonly here: number;
  readonly pictures: number;
  readonly linesAJob: number;
}

const ANCHOR = "2026-11-24T09:00:00Z";
const DEMO = [101, 102, 103, 104, 105, 106, 107, 108, 109, 110];
const LOT = 200;
const OWNERS = 12_000;
const PICTURE_BYTES = 60_000;
const FIRST = 1_001;

/** Fills the demo's jobs up to so many lines and signs them off, whatever is still open: what the many are copied from. */
async function finishDemo(db: Executor, linesAJob: number): Promise<void> {
  const left = { word: "repaired", unproven: [], minutes: 40, labourMinor: 2000, partsMinor: 900, watch: "" };
  for (const jobId of DEMO) {
    const seq = (await entriesOf(db, jobId)).length;
    await db.transaction((tx) =>
      tx.execute(sql`
        insert into entries
          (entry_id, job_id, seq, kind, kind_version, stage, payload, knowledge_version, settings_version, at, by)
        select gen_random_uuid(), ${jobId}::int, line,
          case when line = ${linesAJob}::int then 'signed-off' else 'note' end, 1, 'sign-off',
          case when line = ${linesAJob}::int then ${JSON.stringify(left)}::jsonb
            else jsonb_build_object('text', 'Looked at once more, ' || line) end,
          'bench', 1, '2026-11-24T17:00:00Z'::timestamptz, 'left bench'
        from generate_series(${seq + 1}::int, ${linesAJob}::int) line`),
    );
  }
}

/** Distinct pictures as far as the shop can tell: one drawing, each with other bytes after its end. */
async function pictures(db: Executor, folder: string, count: number): Promise<void> {
  const drawn = await sharp({ create: { width: 640, height: 480, channels: 3, background: "#b8a98a" } })
    .jpeg()
    .toBuffer();
  const rest = randomBytes(PICTURE_BYTES);
  let rows: { no: number; sha256: string }[] = [];
  for (let no = 0; no < count; no += 1) {
    rest.writeUInt32LE(no);
    const whole = Buffer.concat([drawn, rest]);
    const sha256 = createHash("sha256").update(whole).digest("hex");
    const to = join(folder, "pictures", sha256.slice(0, 2));
    mkdirSync(to, { recursive: true, mode: 0o700 });
    writeFileSync(join(to, `${sha256}.jpg`), whole, { mode: 0o600 });
    writeFileSync(join(to, `${sha256}.small.jpg`), whole.subarray(0, drawn.length + 4_000), { mode: 0o600 });
    rows.push({ no, sha256 });
    if (rows.length < LOT && no < count - 1) continue;
    const list = JSON.stringify(rows);
    await db.transaction(async (tx) => {
      await tx.execute(
        sql`insert into bench_pictures select * from jsonb_to_recordset(${list}::jsonb) as t(no int, sha256 text)`,
      );
      await tx.execute(
        sql`insert into files (sha256, type, bytes, width, height, added_at)
            select sha256, 'image/jpeg', ${whole.length}, 640, 480, ${ANCHOR}::timestamptz
            from jsonb_to_recordset(${list}::jsonb) as t(sha256 text)`,
      );
    });
    rows = [];
  }
}

const COPY_JOBS = (from: number, to: number, { jobs }: LargeShop) => sql`
  insert into jobs (id, created_at, created_by)
  select ${FIRST}::int + j, ${ANCHOR}::timestamptz - (${jobs}::int - j) * interval '100 minutes', 'left bench'
  from generate_series(${from}::int, ${to}::int) j`;

/** Each job is a copy of a demo job under its own number, owner, tag, place, pictures and time over ten years. */
const COPY_ENTRIES = (from: number, to: number, { jobs, here, pictures: count }: LargeShop) => sql`
  insert into entries
    (entry_id, job_id, seq, kind, kind_version, stage, payload, shown, knowledge_version, settings_version, at, by)
  select md5(j || ':' || t.seq)::uuid, ${FIRST}::int + j, t.seq, t.kind, t.kind_version, t.stage,
    case t.kind
      when 'taken-in' then t.payload || jsonb_build_object(
        'ownerId', 100 + (j * 7919) % ${OWNERS}::int, 'tag', 'TQ-' || j, 'place', 'shelf ' || (j % 40))
      when 'picture' then t.payload || jsonb_build_object('sha256', p.sha256, 'width', 640, 'height', 480)
      else t.payload
    end,
    t.shown, t.knowledge_version, t.settings_version,
    t.at - (${jobs}::int - j) * interval '100 minutes', t.by
  from generate_series(${from}::int, ${to}::int) j
  join entries t on t.job_id = 101 + (j * 31) % 10
    and not (j >= ${jobs - here}::int and t.kind = 'signed-off')
  left join bench_pictures p on t.kind = 'picture' and p.no = (j * 13 + t.seq) % ${count}::int
  order by j, t.seq`;

/**
 * Makes a shop of many jobs in a folder of its own. Its journal is thrown away at the end: the first start then writes a
 * whole copy, as it does wherever a journal is missing.
 */
export async function makeLargeShop(folder: string, asked: LargeShop): Promise<void> {
  process.env["GOOD_SPINDLE_DATA"] = folder;
  const shop = await openFolder(folder, "npm run bench:shop");
  setDatabase(shop);
  const { db } = shop;
  // In short it begins as a copy of a demo shop.
  if ((await countJobs(db)) === 0) await seedDemo(await shopContextOn(db), new Date(ANCHOR));
  await finishDemo(db, asked.linesAJob);
  await db.execute(sql`create table bench_pictures (no int primary key, sha256 text not null)`);
  await pictures(db, folder, asked.pictures);
  await db.transaction((tx) =>
    tx.execute(sql`insert into owners (id, name, contact)
      select 100 + n, (array['Tansy','Fern','Orchard','Lantern','Harbour','Juniper'])[1 + n % 6] || ' ' ||
        (array['Weavers','Pottery','Cooperative','Hall','Bakery','Smithy','Boats'])[1 + n % 7] || ' ' || n, 'telephone'
      from generate_series(0, ${OWNERS - 1}::int) n`),
  );
  for (let from = 0; from < asked.jobs; from += LOT) {
    const to = Math.min(asked.jobs, from + LOT) - 1;
    await db.transaction(async (tx) => {
      await tx.execute(sql`set local good_spindle.playing_in = 'yes'`);
      await tx.execute(COPY_JOBS(from, to, asked));
      await tx.execute(COPY_ENTRIES(from, to, asked));
    });
    if (from % (LOT * 25) === 0) console.log(`  ${from} of ${asked.jobs} jobs made`);
  }
  await db.execute(sql`drop table bench_pictures`);
  for (const table of ["jobs", "owners"])
    await db.execute(
      sql.raw(`select setval(pg_get_serial_sequence('${table}', 'id'), (select max(id) from ${table}))`),
    );
  // As the upkeep leaves a shop that has been quiet for half an hour.
  await db.execute(sql`vacuum (analyze)`);
  await shop.close();
  rmSync(join(folder, "journal"), { recursive: true });
}
