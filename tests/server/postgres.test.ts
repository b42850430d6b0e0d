import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type OpenDatabase, openServer } from "@/server/db/connect";
import { isUnreachable } from "@/server/http/fault";
import { countJobs } from "@/server/queries/jobs";
import { recordEntry } from "@/server/services/record-entry";
import { seedDemo } from "@/server/services/seed-demo";
import { type ShopContext, shopContextOn } from "@/server/services/shop-context";
import { everyJob } from "./every-job";
import { postgresPrograms, startPostgres, type TemporaryServer } from "./postgres-server";

const bin = postgresPrograms();
if (!bin)
  console.log(
    "No PostgreSQL server on this machine (Debian package postgresql): the same schema was tried on the embedded engine only.",
  );

describe.runIf(bin)("the same schema on a PostgreSQL server", () => {
  let server: TemporaryServer;
  let database: OpenDatabase;
  let shopContext: ShopContext;
  beforeAll(async () => {
    server = await startPostgres(bin ?? "");
    database = await openServer(server.url);
    await seedDemo(await shopContextOn(database.db), new Date("2026-11-25T09:00:00Z"));
    shopContext = await shopContextOn(database.db);
  });
  afterAll(async () => {
    await database.close();
    server.stop();
  });

  it("migrates, takes the demo shop, and tells the same jobs", async () => {
    const jobs = await everyJob(shopContext);
    expect(await countJobs(database.db)).toBe(jobs.length);
    expect(jobs.map(({ view }) => view.takenIn?.machine)).toContain("Wool carder");
    expect(jobs[0]?.view.ledger[0]?.at).toMatch(/^\d{4}-\d\d-\d\dT[\d:.]+Z$/);
  });

  it("of many writers at once on one line, one gets it and the rest are told", async () => {
    const [first] = await everyJob(shopContext);
    const { jobId, seq } = first?.view ?? { jobId: 0, seq: 0 };
    const write = (text: string) =>
      recordEntry(
        jobId,
        {
          entryId: randomUUID(),
          expectedSeq: seq,
          kind: "note",
          stage: "measure",
          by: "x",
          payload: { text },
        },
        new Date().toISOString(),
        shopContext,
      );
    const answers = await Promise.all(Array.from({ length: 12 }, (_, index) => write(`writer ${index}`)));
    expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
    expect(answers.flatMap((answer) => (answer.ok ? [] : answer.issues.map(({ code }) => code)))).toEqual(
      Array(11).fill("stale/sequence"),
    );
  });

  it("refuses to change a line, as the embedded one does", async () => {
    await expect(database.db.execute(sql`update entries set kind = 'note'`)).rejects.toMatchObject({
      cause: { code: "23001" },
    });
  });

  it("of servers that start at once on an empty database, one brings it to its schema and the rest find it done", async () => {
    await database.db.execute(sql`create database at_once`);
    const url = server.url.replace("/postgres?", "/at_once?");
    const all = await Promise.all(Array.from({ length: 4 }, () => openServer(url)));
    for (const one of all) {
      expect(await countJobs(one.db)).toBe(0);
      await one.close();
    }
  });

  it("another server on the same database hears of a line, and the one that wrote it not twice", async () => {
    const second = await openServer(server.url);
    const heard: { by: string; jobId: number; seq: number }[] = [];
    let gaps = 0;
    database.others?.hear(
      (change) => heard.push({ by: "first", ...change }),
      () => undefined,
    );
    second.others?.hear(
      (change) => heard.push({ by: "second", ...change }),
      () => {
        gaps += 1;
      },
    );
    await until(async () => (await listeners()) === 2);
    database.others?.tell({ jobId: 104, seq: 9 });
    await until(() => heard.length > 0);
    expect(heard).toEqual([{ by: "second", jobId: 104, seq: 9 }]);
    // The line is cut: it is opened again, and whoever looks on is told that something may have been missed.
    await database.db.execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen %'`,
    );
    await until(async () => gaps > 0 && (await listeners()) === 2);
    database.others?.tell({ jobId: 105, seq: 3 });
    await until(() => heard.length > 1);
    expect(heard.at(-1)).toEqual({ by: "second", jobId: 105, seq: 3 });
    await second.close();
  }, 30_000);

  it("survives connections that are cut, and says what an answer in the middle of it was", async () => {
    const [first] = await everyJob(shopContext);
    await database.db.execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and query not ilike 'listen %' and backend_type = 'client backend'`,
    );
    // Whoever comes before the pool has noticed is told so (503); the next one is served.
    const asked = () =>
      everyJob(shopContext).catch((error: unknown) => {
        expect(isUnreachable(error)).toBe(true);
        return undefined;
      });
    const again = (await asked()) ?? (await asked()) ?? [];
    expect(again[0]?.view.seq).toBe(first?.view.seq);
    const cut = await database.db
      .transaction((tx) => tx.execute(sql`select pg_terminate_backend(pg_backend_pid())`))
      .catch((error: unknown) => error);
    expect(isUnreachable(cut)).toBe(true);
    expect((await everyJob(shopContext)).length).toBe(again.length);
  });

  it("keeps pictures where every server finds them", async () => {
    const second = await openServer(server.url);
    const bytes = Buffer.from([0xff, 0xd8, 0xff, 1, 2, 3]);
    const sha = "cd".repeat(32);
    await database.pictures.write(sha, "whole", bytes);
    await database.pictures.write(sha, "whole", bytes);
    expect(Buffer.from((await second.pictures.read(sha, "whole")) ?? [])).toEqual(bytes);
    expect([await second.pictures.has(sha, "whole"), await second.pictures.has(sha, "small")]).toEqual([
      true,
      false,
    ]);
    await second.close();
  });

  async function listeners(): Promise<number> {
    const { rows } = (await database.db.execute(
      sql`select count(*)::int as n from pg_stat_activity where query ilike 'listen %'`,
    )) as unknown as { rows: { n: number }[] };
    return rows[0]?.n ?? 0;
  }
});

async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  for (let tries = 0; !(await isSo()); tries += 1) {
    if (tries > 100) throw new Error("waited for ten seconds");
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
