import { readdirSync, readFileSync } from "node:fs";
import { PGlite } from "@electric-sql/pglite";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { describe, expect, it } from "vitest";
import { SNAPSHOT_PATH } from "@/server/db/connect";
import * as schema from "@/server/db/schema";
import { recordEntry } from "@/server/services/record-entry";
import { shopContextOn } from "@/server/services/shop-context";
import { everyJob } from "./every-job";

const samples = readdirSync("tests/server/upgrades").filter((name) => name.endsWith(".sql"));

describe.each(samples)("a database as issue %s left it", (name) => {
  it("is brought forward with every row, and goes on", async () => {
    const client = await PGlite.create({
      loadDataDir: new Blob([new Uint8Array(readFileSync(SNAPSHOT_PATH))]),
    });
    await client.exec(readFileSync(`tests/server/upgrades/${name}`, "utf8"));
    // Rows written with their numbers leave the sequence behind: a database that grew had drawn them from it.
    await client.exec(
      "select setval('drizzle.__drizzle_migrations_id_seq', (select max(id) from drizzle.__drizzle_migrations))",
    );
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: "drizzle" });
    const shopContext = await shopContextOn(db);
    const jobs = await everyJob(shopContext);
    expect(jobs.reduce((sum, { view }) => sum + view.seq, 0)).toBe(200);
    const { jobId = 0, seq = 0 } = jobs[0]?.view ?? {};
    const draft = {
      entryId: "00000000-0000-4000-8000-000000000009",
      expectedSeq: seq,
      kind: "note",
      stage: "measure",
      by: "x",
      payload: { text: "after" },
    } as const;
    const kept = await recordEntry(jobId, draft, new Date().toISOString(), shopContext);
    expect(kept.ok && kept.value.seq).toBe(seq + 1);
    await client.close();
  });
});
