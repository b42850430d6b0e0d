import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/view";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { GET as getJob } from "@/pages/api/jobs/[id]/index";
import { GET as findJobs, POST as takeIn } from "@/pages/api/jobs/index";
import { countJobs } from "@/server/queries/jobs";
import { call, draft, openShop, takeInBody } from "./shop";
import { CARDER } from "./shop-machine";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

async function newJob(change: object = {}): Promise<string> {
  const made = await call<{ jobId: number }>(takeIn, { body: takeInBody(change) });
  expect(made.status).toBe(200);
  return String(made.body.jobId);
}

const post = (id: string, body: unknown) => call<JobView>(postEntry, { params: { id }, body });
const INPUT = {
  mark: "145-174 μF 250 VAC",
  reading: "61.8u",
  meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
  bleedResistor: "lifted",
  temperature: "14 °C",
};
const READING = {
  of: "tool",
  toolId: "capacitor-against-mark",
  moveId: "start-capacitance",
  input: INPUT,
  taken: "afterwards",
};

describe("taking a machine in", () => {
  it("makes a job with a number, an owner and its first lines, once however often it is sent", async () => {
    const body = takeInBody();
    const [first, second] = [
      await call<{ jobId: number }>(takeIn, { body }),
      await call<{ jobId: number }>(takeIn, { body }),
    ];
    expect(first.body.jobId).toBeGreaterThanOrEqual(101);
    expect(second.body).toEqual(first.body);
    const job = await call<JobView>(getJob, { params: { id: String(first.body.jobId) } });
    expect(job.body).toMatchObject({
      seq: 2,
      takenIn: { machine: "Wool carder" },
      complaint: { words: "It hums." },
      bench: { plug: "not-known" },
    });
  });

  it("refuses what does not fit, names it, and leaves no half job behind", async () => {
    const before = await countJobs(shop.db);
    const wrong = await call(takeIn, {
      body: takeInBody({
        complaint: { signs: ["singing"], circumstance: "always", afterMinutes: null, words: "" },
      }),
    });
    expect(wrong.status).toBe(422);
    expect(wrong.problem.issues[0]).toMatchObject({ path: "complaint.signs", given: "singing" });
    const many = await call(takeIn, {
      body: takeInBody({ takenIn: { ...takeInBody().takenIn, machine: "", family: 7, colour: "red" } }),
    });
    expect(many.status).toBe(422);
    expect(many.problem.issues.map(({ path }) => path).sort()).toEqual(
      expect.arrayContaining(["takenIn", "takenIn.family", "takenIn.machine"]),
    );
    expect(await countJobs(shop.db)).toBe(before);
  });

  it("is found again by number, machine, place and owner", async () => {
    const id = await newJob({
      takenIn: { ...takeInBody().takenIn, machine: "Honey extractor", place: "shelf 9" },
      owner: { name: "Gorse Apiary", contact: "" },
    });
    for (const words of [`job ${id}`, "honey", "shelf 9", "gorse", "HONEY gorse"]) {
      const found = await call<{ jobs: { jobId: number }[] }>(findJobs, {
        query: `?find=${encodeURIComponent(words)}`,
      });
      expect(
        found.body.jobs.map(({ jobId }) => String(jobId)),
        words,
      ).toContain(id);
    }
    expect((await call(findJobs, { query: "?find=nothing-like-it" })).body).toEqual({ jobs: [] });
  });
});

describe("a machine that was here before", () => {
  const built = (id: string, stations: readonly string[]) => post(id, draft(2, "built", { stations }));
  const stationsOf = async (id: string) => (await call<JobView>(getJob, { params: { id } })).body.stations;
  const from = (jobId: string, change: object = {}) => ({
    takenIn: { ...CARDER, from: { jobId: Number(jobId), as: "same" }, ...change },
  });

  it("brings what it is built from, but not into another kind of motor", async () => {
    const earlier = await newJob();
    const kept = await built(earlier, ["supply", "board", "windings"]);
    expect(kept.status).toBe(200);
    expect(await stationsOf(await newJob(from(earlier)))).toEqual(["supply", "board", "windings"]);
    expect(await stationsOf(await newJob(from(earlier, { family: "universal" })))).toBeNull();
    expect(await stationsOf(await newJob())).toBeNull();
  });
});

describe("keeping an entry", () => {
  it("works the Finding out on the server and answers with the job as it stands", async () => {
    const id = await newJob();
    const kept = await post(id, draft(2, "reading", READING));
    expect(kept.status).toBe(200);
    expect(kept.body.readings[0]).toMatchObject({ finding: { verdict: "faulty" }, taken: "afterwards" });
    expect(kept.body.evidence).toEqual([
      {
        moveId: "start-capacitance",
        outcomeId: "below",
        circumstance: "cold",
        likelihood: expect.anything(),
        seq: 3,
      },
    ]);
  });

  it("a lost answer asked for again changes nothing", async () => {
    const id = await newJob();
    const body = draft(2, "note", { text: "Damp inside." });
    const [first, second] = [await post(id, body), await post(id, body)];
    expect(second.status).toBe(200);
    expect(second.body).toEqual(first.body);
    expect((await call<JobView>(getJob, { params: { id } })).body.seq).toBe(3);
  });

  it("the later of two writers is told what changed, and nothing of the first is lost", async () => {
    const id = await newJob();
    await post(id, draft(2, "note", { text: "mine" }));
    const late = await post(id, draft(2, "note", { text: "yours" }, { by: "right bench" }));
    expect(late.status).toBe(409);
    expect(late.problem.issues[0]).toMatchObject({ code: "stale/sequence", path: "expectedSeq" });
    expect(late.problem.issues[0]?.message).toContain("line 3 (note) by left bench");
    const again = await post(id, draft(3, "note", { text: "yours" }, { by: "right bench" }));
    expect(again.body.ledger.map(({ kind }) => kind)).toEqual(["taken-in", "complaint", "note", "note"]);
  });

  it("of twenty writers at once on one line, one gets it", async () => {
    const id = await newJob();
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, index) => post(id, draft(2, "note", { text: `writer ${index}` }))),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(19);
  });

  it("an entryId of another entry is not taken for a repeat", async () => {
    const [one, other] = [await newJob(), await newJob()];
    const body = draft(2, "note", { text: "x" });
    await post(one, body);
    const crossed = await post(other, body);
    expect(crossed.status).toBe(409);
    expect(crossed.problem.issues[0]?.code).toBe("stale/entry-id");
  });

  it("a reading inside the machine is refused until it is made safe, and kept when it was taken before", async () => {
    const id = await newJob();
    const refused = await post(id, draft(2, "reading", { ...READING, taken: "now" }));
    expect(refused.status).toBe(409);
    expect(refused.problem.issues[0]).toMatchObject({ code: "guard/bench-state", given: ["plug", "charge"] });
    const touchedAt = new Date().toISOString();
    await post(id, draft(2, "bench-state", { event: "unplugged", evidence: "plug-in-sight" }));
    await post(id, draft(3, "bench-state", { event: "stored-clip", id: "start" }));
    const watch = { settledSeq: 3, touchedAt };
    const unread = await post(id, draft(4, "reading", { ...READING, taken: "now" }, { watch }));
    expect(unread.problem.issues[0]).toMatchObject({ given: ["charge"] });
    await post(id, draft(4, "bench-state", { event: "stored-volts", id: "start", volts: "0.2" }));
    const safe = await post(id, draft(5, "reading", { ...READING, taken: "now" }, { watch }));
    expect(safe.status).toBe(200);
    expect(safe.body.bench.stored).toEqual([expect.objectContaining({ id: "start", clip: true })]);
    // A range that is too small says that it is charged, whatever was read before.
    const over = await post(id, draft(6, "bench-state", { event: "stored-volts", id: "start", volts: "OL" }));
    expect(over.body.bench.stored).toEqual([expect.objectContaining({ over: true, volts: 1000 })]);
    expect(over.body.bench.keepsOut).toEqual(["charged"]);
    const reloaded = await post(id, draft(7, "reading", { ...READING, taken: "now" }));
    expect(reloaded.status).toBe(409);
  });

  it("a plugged-in machine is recorded as such, whatever was checked: it is a fact", async () => {
    const id = await newJob();
    const kept = await post(id, draft(2, "bench-state", { event: "plugged-in", outlet: "not-said" }));
    expect(kept.body.bench).toMatchObject({ plug: "plugged-in", stored: [] });
  });

  it("is kept whatever the person is called", async () => {
    const id = await newJob();
    for (const [index, by] of ["valueOf", "constructor", "__proto__"].entries())
      expect((await post(id, { ...draft(2 + index, "note", { text: "x" }), by })).status, by).toBe(200);
  });

  it("strikes out and restores", async () => {
    const id = await newJob();
    await post(id, draft(2, "reading", READING));
    const struck = await post(id, draft(3, "struck", { seq: 3, why: "wrong lead", reason: "typed-wrongly" }));
    expect(struck.body.readings).toEqual([]);
    expect(struck.body.ledger[2]).toMatchObject({ isStruck: true });
    const restored = await post(id, draft(4, "restored", { seq: 3 }));
    expect(restored.body.readings).toHaveLength(1);
  });

  it("an answer to a move is kept with its epoch, and one that the move does not have is refused", async () => {
    const id = await newJob();
    const answer = (outcomeId: string, taken = "now") => ({
      moveId: "turn-shaft",
      outcomeId,
      circumstance: "cold",
      taken,
    });
    expect((await post(id, draft(2, "answer", answer("wobbly")))).problem.issues[0]?.code).toBe(
      "unknown/answer",
    );
    expect((await post(id, draft(2, "answer", answer("free")))).problem.issues[0]?.code).toBe(
      "guard/bench-state",
    );
    expect((await post(id, draft(2, "answer", answer("could-not")))).status).toBe(200);
    await post(id, draft(3, "intervention", { repair: "fit-fuse", taken: "afterwards" }));
    const after = await post(id, draft(4, "answer", answer("free", "afterwards")));
    expect(after.body.answers.map(({ epoch, outcomeId }) => [epoch, outcomeId])).toEqual([
      [0, "could-not"],
      [1, "free"],
    ]);
  });

  it("an owner whom nobody knows is refused by name", async () => {
    const id = await newJob();
    for (const ownerId of [4711, 2 ** 31, 0]) {
      const { status, problem } = await post(
        id,
        draft(2, "taken-in", { ...takeInBody().takenIn, ownerId }, { stage: "take-in" }),
      );
      expect(status).toBe(422);
      expect(problem.issues[0]?.path).toBe("payload.ownerId");
    }
  });

  it("the database itself refuses to change a line", async () => {
    const id = Number(await newJob());
    await expect(
      shop.db.execute(sql`update entries set kind = 'note' where job_id = ${id}`),
    ).rejects.toMatchObject({ cause: { code: "23001" } });
    await expect(shop.db.execute(sql`delete from entries where job_id = ${id}`)).rejects.toMatchObject({
      cause: { code: "23001" },
    });
  });
});

describe("bad input to a job", () => {
  it.each<[string, object, number, string, RegExp]>([
    ["NUL in a note", draft(2, "note", { text: "a\0b" }), 422, "payload.text", /cannot be kept/],
    ["half a character", draft(2, "note", { text: "a\ud800" }), 422, "payload.text", /cannot be kept/],
    ["an empty note", draft(2, "note", { text: "" }), 422, "payload.text", /Note is missing/],
    ["a kind that does not exist", draft(2, "wish", { text: "x" }), 422, "kind", /not one of taken-in/],
    [
      "a field nobody knows",
      draft(2, "note", { text: "x", colour: "red" }),
      422,
      "payload",
      /not known here/,
    ],
    [
      "a stage that does not exist",
      draft(2, "note", { text: "x" }, { stage: "lunch" }),
      422,
      "stage",
      /Stage "lunch"/,
    ],
    ["no UUID", draft(2, "note", { text: "x" }, { entryId: "7" }), 422, "entryId", /UUID/],
    [
      "a stale sequence number",
      draft(0, "note", { text: "x" }),
      409,
      "expectedSeq",
      /went on while you typed/,
    ],
    [
      "a sequence number from the future",
      draft(9, "note", { text: "x" }),
      409,
      "expectedSeq",
      /has 2 lines, not 9/,
    ],
    [
      "a reading with two points",
      draft(2, "reading", { ...READING, input: { ...INPUT, reading: "12..4u" } }),
      422,
      "payload.input.reading",
      /one decimal point, such as 12.4u/,
    ],
    [
      "a tool that does not exist",
      draft(2, "reading", { ...READING, toolId: "ouija" }),
      422,
      "payload.moveId",
      /not one of/,
    ],
    [
      "a move of another tool",
      draft(2, "reading", { ...READING, moveId: "push-start" }),
      422,
      "payload.moveId",
      /start-capacitance, run-capacitance/,
    ],
    [
      "volts that are no number",
      draft(2, "bench-state", { event: "stored-volts", id: "start", volts: "UL" }),
      422,
      "payload.volts",
      /must be a number/,
    ],
    [
      "a bench event that does not exist",
      draft(2, "bench-state", { event: "blessed" }),
      422,
      "payload.event",
      /not one of/,
    ],
    [
      "a family that does not exist",
      draft(2, "taken-in", { ...takeInBody().takenIn, ownerId: null, family: "steam" }),
      422,
      "payload.family",
      /"steam"/,
    ],
    [
      "a marking below zero",
      draft(2, "nameplate", { plate: "capacitor", id: "run", mark: "-3 µF" }),
      422,
      "payload.mark",
      /below zero/,
    ],
    [
      "a check that does not exist",
      draft(2, "reading", { of: "dead-check", checkId: "sniff", entered: "1", taken: "now" }),
      422,
      "payload.checkId",
      /"sniff"/,
    ],
    [
      "a day that is not one",
      draft(2, "follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "x", onDay: "2026-02-40" }),
      422,
      "payload.onDay",
      /year-month-day/,
    ],
  ])("%s", async (_, body, status, path, words) => {
    const id = await newJob();
    const answer = await post(id, body);
    expect({ status: answer.status, path: answer.problem.issues[0]?.path }).toEqual({ status, path });
    expect(answer.problem.issues[0]?.message).toMatch(words);
    expect(answer.type).toContain("application/problem+json");
    expect((await call<JobView>(getJob, { params: { id } })).body.seq).toBe(2);
  });

  it.each(["9999", "0", "-1", "118x", "1e3"])("there is no job %s", async (id) => {
    const answer = await post(id, draft(0, "note", { text: "x" }));
    expect(answer.status).toBe(404);
    expect(answer.problem.issues[0]?.message).toContain(id);
  });

  it("broken JSON and a 12 MB body are told apart and read no further than needed", async () => {
    const id = await newJob();
    const broken = await post(id, '{"entryId": ');
    expect({ status: broken.status, code: broken.problem.issues[0]?.code }).toEqual({
      status: 400,
      code: "body/not-json",
    });
    const large = await post(id, { text: "x".repeat(12 * 1024 * 1024) });
    expect({ status: large.status, code: large.problem.issues[0]?.code }).toEqual({
      status: 413,
      code: "body/too-large",
    });
  });

  it("a loose reading that does not exist is named", async () => {
    const answer = await post(
      await newJob(),
      draft(2, "reading", { of: "loose", looseReadingId: randomUUID(), moveId: "start-capacitance" }),
    );
    expect(answer.problem.issues[0]?.code).toBe("unknown/reading");
  });
});
