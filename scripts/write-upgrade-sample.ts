// After an issue landed: a database as it stands now, schema and 200 rows, for later versions to be tried on.
// npx tsx scripts/write-upgrade-sample.ts 02
import { randomUUID } from "node:crypto";
import { readFileSync, writeFileSync } from "node:fs";
import { openScratch } from "@/server/db/connect";
import { recordEntry } from "@/server/services/record-entry";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";

const ROWS = 200;
const [name] = process.argv.slice(2);
if (!name) throw new Error("name the sample by its issue, such as 02");

const { db, client } = await openScratch();
await seedDemo(await shopContextOn(db), new Date("2026-11-25T09:00:00Z"));
const context = await shopContextOn(db);
let count = (await client.query<{ n: number }>("select count(*)::int as n from entries")).rows[0]?.n ?? 0;
let seq =
  (await client.query<{ n: number }>("select count(*)::int as n from entries where job_id = 101")).rows[0]
    ?.n ?? 0;
for (; count < ROWS; count += 1, seq += 1) {
  const kept = await recordEntry(
    101,
    {
      entryId: randomUUID(),
      expectedSeq: seq,
      kind: "note",
      stage: "measure",
      by: "sample",
      payload: { text: `Line ${seq + 1}: 12.4 Ω, "quoted"` },
    },
    "2026-11-25T09:00:00.000Z",
    context,
  );
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
}

const TABLES = [
  "owners",
  "settings",
  "files",
  "jobs",
  "entries",
  "loose_readings",
  "shelf_parts",
  "stock_moves",
];
const quoted = (value: unknown): string =>
  value === null
    ? "null"
    : `'${(typeof value === "object" ? JSON.stringify(value) : String(value)).replaceAll("'", "''")}'`;
const journal = JSON.parse(readFileSync("drizzle/meta/_journal.json", "utf8")) as {
  entries: { tag: string }[];
};
const out = journal.entries.map(({ tag }) =>
  readFileSync(`drizzle/${tag}.sql`, "utf8").replaceAll("--> statement-breakpoint", ""),
);
out.push(
  "create schema drizzle;\ncreate table drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint);",
);
for (const table of [...TABLES, "drizzle.__drizzle_migrations"]) {
  const { rows } = await client.query<Record<string, unknown>>(`select to_jsonb(t) as row from ${table} t`);
  for (const { row } of rows) {
    const fields = row as Record<string, unknown>;
    const names = Object.keys(fields).map((key) => `"${key}"`);
    out.push(
      `insert into ${table} (${names.join(", ")}) values (${Object.values(fields).map(quoted).join(", ")});`,
    );
  }
}
out.push(
  "select setval('jobs_id_seq', (select max(id) from jobs));",
  "select setval('owners_id_seq', (select max(id) from owners));",
);
writeFileSync(`tests/server/upgrades/${name}.sql`, `${out.join("\n")}\n`);
await client.close();
// The isolation thread that the demo's decisions started would wait for more.
process.exit(0);
