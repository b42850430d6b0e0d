import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type OpenDatabase, openServer } from "@/server/db/connect";
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
});
