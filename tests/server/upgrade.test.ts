import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { describe, expect, it } from "vitest";
import { writeArchive } from "@/server/backup/archive";
import { restoreArchive } from "@/server/backup/restore";
import { type BeforeUpgrade, openFolder } from "@/server/db/connect";
import * as schema from "@/server/db/schema";
import { recordEntry } from "@/server/services/record-entry";
import { shopContextOn } from "@/server/services/shop-context";
import { allEntries, everyJob } from "./every-job";

const samples = readdirSync("tests/server/upgrades").filter((name) => name.endsWith(".sql"));

async function asItWas(name: string, folder: string): Promise<PGlite> {
  cpSync(".cache/empty-database", folder, { recursive: true });
  const client = await PGlite.create(folder);
  await client.exec(readFileSync(`tests/server/upgrades/${name}`, "utf8"));
  // Rows written with their numbers leave the sequence behind: a database that grew had drawn them from it.
  await client.exec(
    "select setval('drizzle.__drizzle_migrations_id_seq', (select max(id) from drizzle.__drizzle_migrations))",
  );
  return client;
}

describe.each(samples)("a database as issue %s left it", (name) => {
  it("is brought forward with every row, and goes on", async () => {
    const folder = mkdtempSync(join(tmpdir(), "spindle-as-it-was-"));
    const client = await asItWas(name, folder);
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
    rmSync(folder, { recursive: true });
  });
});

describe.each([samples[0] ?? ""])("a data folder as issue %s left it", (name) => {
  it("is backed up before its schema is changed, and the backup can be restored; without one nothing is changed", async () => {
    const root = mkdtempSync(join(tmpdir(), "spindle-upgrade-"));
    const [folder, archive] = [join(root, "shop"), join(root, "before.zip")];
    mkdirSync(folder);
    await (await asItWas(name, join(folder, "postgres"))).close();
    const quiet = { tell: () => undefined };
    const isFull = () => Promise.reject(new Error("no space left on device"));
    await expect(openFolder(folder, "the test", { ...quiet, beforeUpgrade: isFull })).rejects.toThrow(
      /disk .* is full/,
    );
    const beforeUpgrade = async ({ db, pictures }: Parameters<BeforeUpgrade>[0]) => {
      await writeArchive(db, pictures, archive);
    };
    const shop = await openFolder(folder, "the test", { ...quiet, beforeUpgrade });
    const before = await allEntries(shop.db);
    expect(before).toHaveLength(200);
    await shop.close();
    let isAskedAgain = false;
    const again = await openFolder(folder, "the test", {
      ...quiet,
      beforeUpgrade: async () => {
        isAskedAgain = true;
      },
    });
    expect(isAskedAgain, "nothing is older any more").toBe(false);
    await again.close();
    const restored = await restoreArchive(archive, join(root, "restored"), quiet.tell);
    expect(restored.ok ? [] : restored.issues).toEqual([]);
    const other = await openFolder(join(root, "restored"), "the test", quiet);
    expect(await allEntries(other.db)).toEqual(before);
    await other.close();
    rmSync(root, { recursive: true });
  }, 60_000);
});
