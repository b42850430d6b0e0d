import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { countsOf } from "@/core/isolation/shop-counts";
import { closedJobOf } from "@/core/job/isolation/closed-job";
import type { Standing } from "@/core/job/standing";
import { GET as bench } from "@/pages/api/bench";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { DELETE as forget } from "@/pages/api/jobs/[id]/owner";
import { GET as find, POST as takeIn } from "@/pages/api/jobs/index";
import { readCounts } from "@/server/queries/shop-counts";
import { logTextOf } from "@/server/repositories/entries";
import { factsOf } from "@/server/repositories/job-facts";
import { checkShop } from "@/server/services/check-shop";
import { keepFactsOfJobs, keepWorkedOut, workOutFacts } from "@/server/services/job-facts";
import { factsInText } from "@/server/services/own-facts";
import { readyFacts } from "@/server/services/rebuild-facts";
import { seedDemo } from "@/server/services/seed-demo";
import { type ShopContext, shopContextOn } from "@/server/services/shop-context";
import { everyJob } from "./every-job";
import { call, draft, openShop, takeInBody } from "./shop";
import { CARDER } from "./shop-machine";

let shop: Awaited<ReturnType<typeof openShop>>;
let context: ShopContext;
beforeAll(async () => {
  shop = await openShop();
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
  context = await shopContextOn(shop.db);
});
afterAll(() => shop.close());

interface Page {
  readonly jobs: readonly { readonly standing: Standing; readonly ownerName: string }[];
  readonly here: number;
  readonly gone: number;
  readonly next: string | null;
}
const page = async (query = ""): Promise<Page> => (await call<Page>(bench, { query })).body;
const found = async (words: string): Promise<number[]> => {
  const { body } = await call<{ jobs: { jobId: number }[] }>(find, {
    query: `?find=${encodeURIComponent(words)}`,
  });
  return body.jobs.map(({ jobId }) => jobId);
};
async function newJob(change: object = {}): Promise<number> {
  return (await call<{ jobId: number }>(takeIn, { body: takeInBody(change) })).body.jobId;
}
const post = (id: number, seq: number, kind: string, payload: object) =>
  call(postEntry, { params: { id: String(id) }, body: draft(seq, kind, payload) });
const leave = (id: number) => post(id, 2, "signed-off", { minutes: 5, partsMinor: 0, watch: "" });

const sorted = (counts: object) => JSON.parse(JSON.stringify(counts, undefined, 1));

/** Facts of every job, and the shop's counts, as the logs alone say them. */
async function expectAllTrue(): Promise<void> {
  const all = await everyJob(context);
  for (const { view } of all)
    expect(await factsOf(shop.db, view.jobId)).toEqual(await workOutFacts(shop.db, view, context));
  const closed = all.flatMap(({ view }) => closedJobOf(view, context.knowledge.faults) ?? []);
  const [kept, counted] = [await readCounts(shop.db), countsOf(closed, context.knowledge)];
  const byName = (rows: readonly object[]) => rows.map(sorted).sort((one, other) => (one < other ? -1 : 1));
  for (const list of ["jobs", "faults", "answers"] as const) {
    const told = (rows: readonly { readonly count: number }[]) =>
      byName(rows.map((row) => ({ ...row, count: Math.round(row.count * 1e4) })));
    expect(told(kept[list])).toEqual(expect.arrayContaining(told(counted[list])));
    expect(kept[list]).toHaveLength(counted[list].length);
  }
}

describe("what is kept of a job beside its log", () => {
  it("is what the log says, for every job of the demo, and so are the counts", async () => {
    await expectAllTrue();
    expect((await readCounts(shop.db)).faults.length).toBeGreaterThan(0);
  });

  it("is checked against the logs by a command, which names what is not as it should be", async () => {
    expect(await checkShop(context)).toMatchObject({ jobs: 10, wrong: [], stale: [] });
    await shop.db.execute(sql`update job_facts set search = 'nothing' where job_id = 104`);
    const { wrong, stale } = await checkShop(context);
    expect(stale).toEqual([104]);
    expect(wrong.join()).toContain("job 104");
    await keepFactsOfJobs(shop.db, stale, context);
    await shop.db.execute(sql`update shop_counts set micro = micro + 1`);
    expect((await checkShop(context)).wrong).toEqual(["What the closed jobs add up to is not what is kept."]);
    await shop.db.execute(sql`update shop_counts set micro = micro - 1`);
    expect((await checkShop(context)).wrong).toEqual([]);
  });

  it("can be thrown away: it is worked out again before anybody is served", async () => {
    const before = await readCounts(shop.db);
    await shop.db.execute(sql`delete from job_facts where job_id <> 105`);
    expect(sorted(await readCounts(shop.db))).not.toEqual(sorted(before));
    const told: string[] = [];
    await readyFacts(context, (sentence) => told.push(sentence));
    expect(sorted(await readCounts(shop.db))).toEqual(sorted(before));
    await expectAllTrue();
    await keepFactsOfJobs(shop.db, [105, 106, 105], context);
    await expectAllTrue();
  });

  it("is the same where many are worked out beside each other, and that is told", async () => {
    const before = await readCounts(shop.db);
    await shop.db.execute(sql`delete from job_facts`);
    const told: string[] = [];
    await readyFacts(context, (sentence) => told.push(sentence), 1);
    expect(told[0]).toBe("Working out where 10 jobs stand (once) …");
    expect(sorted(await readCounts(shop.db))).toEqual(sorted(before));
    await expectAllTrue();
  });

  it("is not kept where the log went on while it was worked out, and which job that is, is told", async () => {
    const jobIds = [103, 104];
    const logs = { jobIds, text: await logTextOf(shop.db, jobIds) };
    const seq = (await factsOf(shop.db, 104))?.seq ?? 0;
    expect((await post(104, seq, "note", { text: "meanwhile" })).status).toBe(200);
    expect(await keepWorkedOut(shop.db, factsInText(logs, context))).toEqual([104]);
    expect((await factsOf(shop.db, 104))?.seq).toBe(seq + 1);
    await expectAllTrue();
  });

  it("is worked out again where the Bench shows it, once a limit or the knowledge is another", async () => {
    const limit = context.limits["safe-to-work-volts"];
    if (!limit) throw new Error("no such limit");
    const tighter = {
      ...context,
      limits: { ...context.limits, "safe-to-work-volts": { ...limit, value: 1 } },
    };
    await shop.db.execute(sql`update job_facts set made_with = 'older', standing = '{}' where job_id = 103`);
    const shown = (await page()).jobs.find(({ standing }) => standing.jobId === 103);
    expect(shown?.standing.takenIn?.machine).toBeTruthy();
    await expectAllTrue();
    await keepFactsOfJobs(shop.db, [104], tighter);
    expect((await factsOf(shop.db, 104))?.limitsOf).not.toBe((await factsOf(shop.db, 103))?.limitsOf);
    await page();
    await expectAllTrue();
  });
});

describe("the Bench, a page at a time", () => {
  it("counts who is here and who has left; a machine leaves with its sign-off and is back when opened again", async () => {
    const before = await page();
    const id = await newJob();
    expect((await page()).here).toBe(before.here + 1);
    expect((await leave(id)).status).toBe(200);
    const left = await page(`?job=${id}`);
    expect([left.here, left.gone]).toEqual([before.here, before.gone + 1]);
    expect(left.jobs[0]?.standing.signedOff?.word).toBe("not-repaired");
    expect((await page()).jobs.some(({ standing }) => standing.jobId === id)).toBe(false);
    expect((await page("?list=gone")).jobs[0]?.standing.jobId).toBe(id);
    await post(id, 3, "reopened", { why: "it hums again" });
    expect((await page()).here).toBe(before.here + 1);
  });

  it("shows every machine that has left exactly once, on as many pages as it takes", async () => {
    for (let count = 0; count < 55; count += 1) await leave(await newJob());
    const seen: number[] = [];
    let pages = 0;
    for (let next: string | null = ""; next !== null; pages += 1) {
      const one: Page = await page(`?list=gone${next ? `&after=${encodeURIComponent(next)}` : ""}`);
      seen.push(...one.jobs.map(({ standing }) => standing.jobId));
      next = one.next;
    }
    expect(pages).toBeGreaterThan(1);
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen).toHaveLength((await page()).gone);
  });

  it.each([
    "",
    "yesterday",
    "2026-13-45T99:99:99.000Z_5",
    "0000-01-01T00:00:00.000Z_5",
    "2026-02-30T00:00:00.000Z_5",
    "2026-11-24T09:00:00.000Z_5; drop table jobs",
  ])("a page that begins at %j is refused", async (after) => {
    const answer = await call(bench, { query: `?after=${encodeURIComponent(after)}` });
    expect(answer.status).toBe(422);
    expect(answer.problem.issues[0]?.message).toContain("next");
  });
});

describe("finding a job", () => {
  it("by number, tag, machine, place and owner, in any order, whatever the accents", async () => {
    const owner = { name: "Zoë Ångström", contact: "" };
    const id = await newJob({ owner, takenIn: { ...CARDER, tag: "TQ-77%", place: "Shelf_4" } });
    for (const words of [`${id}`, `job ${id}`, "angstrom carder", "ZOË", "tq-77%", "shelf_4 zoe"])
      expect(await found(words), words).toContain(id);
    for (const words of ["tq-7_", "shelf%4", "_%", "zoe\\"])
      expect(await found(words), words).not.toContain(id);
    expect(await found("   ")).toEqual([]);
    await call(forget, { method: "DELETE", params: { id: String(id) } });
    expect(await found("angstrom")).toEqual([]);
    expect(await found(`job ${id}`)).toEqual([id]);
    await expectAllTrue();
  });

  it("what stands here comes before what has left", async () => {
    const gone = await newJob({ entryId: randomUUID(), takenIn: { ...CARDER, tag: "twin" } });
    const here = await newJob({ takenIn: { ...CARDER, tag: "twin" } });
    await leave(gone);
    expect(await found("twin")).toEqual([here, gone]);
  });
});
