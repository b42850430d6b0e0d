import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import type { ShelfLine, Shelved, StockLine } from "@/core/matching/shelf.input";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { POST as takeIn } from "@/pages/api/jobs/index";
import { POST as match } from "@/pages/api/match";
import { PUT as reshelve } from "@/pages/api/shelf/[id]/index";
import { POST as move, GET as moves } from "@/pages/api/shelf/[id]/moves";
import { GET as shelf, POST as shelve } from "@/pages/api/shelf/index";
import { donorsHere } from "@/server/services/donors-here";
import { jobPage } from "@/server/services/job-page";
import { readShopContext } from "@/server/services/shop-context";
import { call, draft, openShop, takeInBody } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const MARK = "8 μF ±5 % 450 VAC 25/085/21 S0";
const LISTED = "run-capacitor:run-capacitor-8-uf-5-450-v-class-b-s0";
const SAID = { family: "run-capacitor", marking: MARK, typed: [], settled: [], schools: [] };

const part = (change: Partial<Shelved> = {}): Shelved => ({
  id: randomUUID(),
  family: "run-capacitor",
  listedId: LISTED,
  label: "",
  marking: "",
  typed: [],
  place: "Drawer B1",
  count: 1,
  priceMinor: 600,
  supplier: "",
  donor: null,
  by: "left bench",
  ...change,
});

async function shelved(change: Partial<Shelved> = {}): Promise<string> {
  const made = await call<{ id: string }>(shelve, { body: part(change) });
  expect(made.problem?.issues ?? []).toEqual([]);
  return made.body.id;
}

async function newJob(): Promise<string> {
  const made = await call<{ jobId: number }>(takeIn, { body: takeInBody() });
  return String(made.body.jobId);
}

const post = (id: string, body: unknown) => call<JobView>(postEntry, { params: { id }, body });
const choose = (id: string, seq: number, partId: string, entryId: string = randomUUID()) =>
  post(id, { ...draft(seq, "part-chosen", { forPart: "run", partId, asked: SAID }), entryId });
const lineOf = async (id: string): Promise<ShelfLine | undefined> =>
  (await call<{ parts: ShelfLine[] }>(shelf)).body.parts.find((one) => one.id === id);
const countOf = async (id: string) => (await lineOf(id))?.count;
const byHand = (id: string, count: number, moveId: string = randomUUID()) =>
  call<{ count: number }>(move, {
    params: { id },
    body: { id: moveId, count, reason: count > 0 ? "put-in" : "taken-out", by: "left bench" },
  });
const matched = async (jobId: number | null = null) =>
  (await call<MatchAnswer>(match, { body: { jobId, asked: SAID } })).body;

describe("what lies on the shelf", () => {
  it("is not put there with a better rating than is printed on it; with a worse one it is", async () => {
    const described = (volts: string) =>
      part({
        listedId: null,
        label: "Old run capacitor",
        marking: "8 μF ±5 % 250 VAC",
        typed: [{ attribute: "volts", of: volts }],
      });
    const boasts = await call<{ id: string }>(shelve, { body: described("450 V") });
    expect(boasts.problem.issues).toMatchObject([{ code: "shelf/against-mark", path: "typed.volts" }]);
    const direct = await call<{ id: string }>(shelve, { body: described("450 V DC") });
    expect(direct.status).toBe(422);
    const printed = await call<{ id: string }>(shelve, {
      body: { ...described("450 V"), marking: "8 μF ±5 % 450 V DC" },
    });
    expect(printed.problem.issues[0]?.message).toContain("no rating for the mains");
    const worse = await call<{ id: string }>(shelve, { body: described("200 V") });
    expect((await lineOf(worse.body.id))?.said).toContainEqual({ label: "Volts AC", value: "200 V" });
  });

  it("is matched first among those that fit alike, by its own price, where it lies", async () => {
    const id = await shelved();
    const { candidates } = await matched();
    expect(candidates[0]).toMatchObject({
      id: `shelf:${id}`,
      fit: "fit",
      days: 0,
      priceMinor: 600,
      shelf: { place: "Drawer B1", count: 1 },
    });
    await byHand(id, -1);
    expect((await matched()).candidates.map((one) => one.id)).not.toContain(`shelf:${id}`);
  });

  it("is taken with the line that chooses it, once, and is back when the line is struck", async () => {
    const id = await shelved({ count: 2 });
    const job = await newJob();
    const entryId = randomUUID();
    const kept = await choose(job, 2, `shelf:${id}`, entryId);
    expect(kept.body.parts[0]).toMatchObject({ days: 0, fromShelf: [{ id, count: 1, place: "Drawer B1" }] });
    expect((await choose(job, 2, `shelf:${id}`, entryId)).status).toBe(200);
    expect(await countOf(id)).toBe(1);
    expect((await choose(job, 3, `shelf:${id}`)).body.parts[0]).toMatchObject({ fromShelf: [{ id }] });
    expect(await countOf(id)).toBe(1);
    await post(job, draft(4, "struck", { seq: 4, why: "back on the shelf", reason: "typed-wrongly" }));
    expect(await countOf(id)).toBe(1);
    await post(job, draft(5, "struck", { seq: 3, why: "back on the shelf", reason: "typed-wrongly" }));
    expect(await countOf(id)).toBe(2);
    await post(job, draft(6, "restored", { seq: 3 }));
    expect(await countOf(id)).toBe(1);
    const told = (await call<{ moves: StockLine[] }>(moves, { params: { id } })).body.moves;
    expect(told.map(({ count, jobId }) => [count, jobId])).toEqual([
      [-1, Number(job)],
      [1, Number(job)],
      [-1, Number(job)],
      [2, null],
    ]);
  });

  it("goes back when another is chosen in its place, but not once it was fitted", async () => {
    const [first, second, third] = [await shelved(), await shelved(), await shelved()];
    const job = await newJob();
    await choose(job, 2, `shelf:${first}`);
    await choose(job, 3, `shelf:${second}`);
    expect([await countOf(first), await countOf(second)]).toEqual([1, 0]);
    const fitted = await post(
      job,
      draft(4, "intervention", { repair: "fit-run-capacitor", taken: "afterwards" }),
    );
    expect(fitted.problem?.issues ?? []).toEqual([]);
    await choose(job, 5, `shelf:${third}`);
    expect([await countOf(first), await countOf(second), await countOf(third)]).toEqual([1, 0, 0]);
  });

  it("gives its last one to one job only, and names who has it; the other job's log stays as it was", async () => {
    const id = await shelved();
    const [one, other] = [await newJob(), await newJob()];
    const both = await Promise.all([choose(one, 2, `shelf:${id}`), choose(other, 2, `shelf:${id}`)]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 422]);
    const [taker, late] = both[0]?.status === 200 ? [one, other] : [other, one];
    const refused = both.find(({ status }) => status === 422);
    expect(refused?.problem.issues[0]?.message).toContain(`none left`);
    expect(refused?.problem.issues[0]?.message).toContain(`job ${taker}`);
    expect(await countOf(id)).toBe(0);
    // Refused whole: the next line of its log has the number that this one would have had.
    expect((await choose(late, 2, LISTED)).status).toBe(200);
    // Whoever holds it still finds it in the match, the others do not.
    expect((await matched(Number(taker))).candidates.map((found) => found.id)).toContain(`shelf:${id}`);
    expect((await matched(Number(late))).candidates.map((found) => found.id)).not.toContain(`shelf:${id}`);
  });

  it("keeps what the shelf held where the new choice is refused", async () => {
    const [held, gone] = [await shelved(), await shelved()];
    const job = await newJob();
    await choose(job, 2, `shelf:${held}`);
    await byHand(gone, -1);
    expect((await choose(job, 3, `shelf:${gone}`)).problem.issues[0]?.code).toBe("shelf/too-few");
    expect([await countOf(held), await countOf(gone)]).toEqual([0, 0]);
  });
});

describe("a part out of another machine", () => {
  const donor = { machine: "old floor polisher", tested: "" };

  it("is taken only once something was tested on it, and never without a note", async () => {
    const id = await shelved({ donor });
    const job = await newJob();
    expect((await choose(job, 2, `shelf:${id}`)).problem.issues[0]?.code).toBe("match/open");
    const line = await lineOf(id);
    const { label = "", place = "", priceMinor = 0, supplier = "", version = 1 } = line ?? {};
    await call(reshelve, {
      method: "PUT",
      params: { id },
      body: { label, place, priceMinor, supplier, version, tested: "7.9 μF" },
    });
    const { body } = await choose(job, 2, `shelf:${id}`);
    expect(body.parts[0]).toMatchObject({ fit: "note", notes: [expect.stringContaining("7.9 μF")] });
  });

  it("is never taken where a used one is none, tested or not", async () => {
    const id = await shelved({
      family: "thermal-fuse",
      listedId: "thermal-fuse:thermal-fuse-133-c-10-a-250-v-insulated",
      donor: { ...donor, tested: "closed, 0.1 Ω" },
    });
    const asked = {
      family: "thermal-fuse",
      marking: "",
      typed: [],
      settled: [],
      schools: [],
    };
    const refused = await post(
      await newJob(),
      draft(2, "part-chosen", { forPart: "thermal-fuse", partId: `shelf:${id}`, asked }),
    );
    expect(refused.problem.issues[0]).toMatchObject({
      code: "match/does-not-fit",
      message: expect.stringContaining("always a new one"),
    });
  });
});

describe("parts of machines kept for parts, offered to a decision", () => {
  const beside = async (job: string) => {
    const page = await jobPage(job);
    if (!page) throw new Error(`no job ${job}`);
    return donorsHere(page.view, await readShopContext());
  };
  const donor = { machine: "ice-cream churn, its tub leaking", tested: "7.9 μF" };

  it("are those that fit as far as is known, never one that is always new, and none once a part is chosen", async () => {
    const job = await newJob();
    const capacitor = await shelved({ donor, place: "Under the bench", priceMinor: 300 });
    const fuse = "thermal-fuse:thermal-fuse-133-c-10-a-250-v-insulated";
    await shelved({ family: "thermal-fuse", listedId: fuse, donor });
    const open = (await beside(job)).find(({ repair }) => repair === "fit-run-capacitor");
    expect(open).toMatchObject({ fit: "open", priceMinor: 300, place: "Under the bench", ...donor });
    expect((await beside(job)).map(({ repair }) => repair)).not.toContain("fit-thermal-fuse");
    await post(job, draft(2, "nameplate", { plate: "capacitor", id: "run", mark: MARK }));
    const known = (await beside(job)).find(({ repair }) => repair === "fit-run-capacitor");
    expect(known?.fit).toBe("note");
    await choose(job, 3, `shelf:${capacitor}`);
    expect((await beside(job)).map(({ repair }) => repair)).not.toContain("fit-run-capacitor");
  });

  it("are none of what is used up", async () => {
    const job = await newJob();
    const id = await shelved({ donor, priceMinor: 1 });
    const hasIt = async () => (await beside(job)).some(({ priceMinor }) => priceMinor === 1);
    expect(await hasIt()).toBe(true);
    await byHand(id, -1);
    expect(await hasIt()).toBe(false);
  });
});

describe("what is put there and taken out by hand", () => {
  it("never goes below nought, and the same request twice counts once", async () => {
    const id = await shelved({ count: 2 });
    const moveId = randomUUID();
    expect((await byHand(id, -1, moveId)).body.count).toBe(1);
    expect((await byHand(id, -1, moveId)).body.count).toBe(1);
    const below = await byHand(id, -2);
    expect(below.problem.issues[0]?.message).toContain("Drawer B1 has 1 of");
    expect((await byHand(id, 5, moveId)).problem.issues[0]?.code).toBe("stale/move-id");
    expect(await countOf(id)).toBe(1);
  });

  it("is changed from one device at a time", async () => {
    const id = await shelved();
    const to = { label: "Motor capacitor", place: "Drawer B9", priceMinor: 700, supplier: "", tested: "" };
    const put = (version: number) =>
      call<{ version: number }>(reshelve, { method: "PUT", params: { id }, body: { ...to, version } });
    expect((await put(1)).body.version).toBe(2);
    const stale = await put(1);
    expect(stale.status).toBe(409);
    expect(stale.problem.issues[0]?.message).toContain("Drawer B9");
  });

  it("is kept once for the same request, and as it is described where no list has it", async () => {
    const body = part({
      listedId: null,
      label: "Odd capacitor",
      typed: [
        { attribute: "capacitance", of: "7.7 μF" },
        { attribute: "volts", of: "450 V" },
      ],
    });
    expect((await call(shelve, { body })).status).toBe(200);
    expect((await call(shelve, { body })).status).toBe(200);
    expect((await call(shelve, { body: { ...body, label: "Another" } })).problem.issues[0]?.code).toBe(
      "stale/shelf-id",
    );
    const line = await lineOf(body.id);
    expect(line).toMatchObject({ count: 1, label: "Odd capacitor" });
    expect(line?.said.map(({ value }) => value)).toContain("7.7 μF");
    expect(line?.unstated.length).toBeGreaterThan(0);
  });

  const refusals: readonly (readonly [string, Partial<Shelved>, string])[] = [
    ["nothing of a part", { count: 0 }, "Count"],
    ["a part that is on no list", { listedId: "run-capacitor:none" }, "run-capacitor:none"],
    ["a part without a name", { listedId: null, typed: [{ attribute: "capacitance", of: "8 μF" }] }, "Name"],
    ["a part without what it is found by", { listedId: null, label: "Something" }, "is not said"],
    ["a machine without a name", { donor: { machine: "", tested: "" } }, "Machine it is out of"],
    ["a family that is none", { family: "sails" }, "sails"],
  ];
  it.each(refusals)("%s is refused, with what would be taken", async (_, change, told) => {
    const refused = await call(shelve, { body: part(change) });
    expect(refused.status).toBe(422);
    expect(refused.problem.issues[0]?.message).toContain(told);
  });
});
