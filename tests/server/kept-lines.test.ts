import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { GET as bench } from "@/pages/api/bench";
import { GET as find, POST as takeIn } from "@/pages/api/jobs";
import { GET as job } from "@/pages/api/jobs/[id]";
import { POST as entries } from "@/pages/api/jobs/[id]/entries";
import { POST as keepReading } from "@/pages/api/readings";
import { GET as getSettings, PUT as putSettings } from "@/pages/api/settings";
import { GET as timers } from "@/pages/api/timers";
import { viewOf } from "@/server/queries/view-of";
import { entriesOf } from "@/server/repositories/entries";
import { readSettings } from "@/server/repositories/settings";
import { KNOWLEDGE, LIMITS, SIGN_OFF } from "../core/shop-context";
import { WORKED_INPUTS } from "../core/worked-inputs";
import { call, draft, openShop, takeInBody } from "./shop";

let shop: Awaited<ReturnType<typeof openShop>>;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

async function newJob(change: object = {}): Promise<string> {
  return String((await call<{ jobId: number }>(takeIn, { body: takeInBody(change) })).body.jobId);
}

const look = async (id: string) => (await call<JobView>(job, { params: { id } })).body;

async function post(id: string, kind: string, payload: unknown) {
  const { seq } = await look(id);
  return call<JobView>(entries, { params: { id }, body: draft(seq, kind, payload as object) });
}

/** A line as a program of another time or a damaged disk may have left it. */
async function rawLine(id: string, kind: string, payload: object, version = 1): Promise<number> {
  const { seq } = await look(id);
  await shop.db.execute(sql`insert into entries
    (entry_id, job_id, seq, kind, kind_version, stage, payload, knowledge_version, settings_version, at, by)
    values (${randomUUID()}, ${Number(id)}, ${seq + 1}, ${kind}, ${version}, 'measure',
      ${JSON.stringify(payload)}::jsonb, 'x', 1, '2026-11-24T09:00:00Z', 'another time')`);
  return seq + 1;
}

describe("a line that cannot be read", () => {
  it.each<[string, string, object, number]>([
    ["its fields are not those of its kind", "answer", { half: 1 }, 1],
    ["nobody knows its kind", "constructor", {}, 1],
    ["a later version of the program wrote it", "note", { text: "x" }, 99],
    ["a bench-state line of names that every object has", "bench-state", { event: "constructor" }, 2],
    ["a timer without a time", "timer-started", { what: "cool" }, 1],
  ])(
    "%s: it stands there as it is, can be struck, and nothing else stops",
    async (_, kind, payload, version) => {
      const id = await newJob();
      await post(id, "bench-state", { event: "unplugged", evidence: "plug-in-sight" });
      const seq = await rawLine(id, kind, payload, version);
      const view = await look(id);
      expect(view.ledger.at(-1)).toMatchObject({ kind: "unreadable", payload: { was: kind } });
      expect(view.unreadable.map((line) => line.seq)).toEqual([seq]);
      for (const route of [bench, timers, getSettings]) expect((await call(route)).status).toBe(200);
      expect((await call(find, { query: "?find=carder" })).status).toBe(200);
      const struck = await post(id, "struck", { seq, why: "cannot be read" });
      expect(struck.status).toBe(200);
      expect(struck.body.unreadable).toEqual([]);
      expect((await post(id, "note", { text: "goes on" })).status).toBe(200);
    },
  );

  it("may have told of power or of a failed test: the plug is not known, and repaired is not said", async () => {
    const id = await newJob();
    await post(id, "bench-state", { event: "unplugged", evidence: "plug-in-sight" });
    expect((await look(id)).bench.plug).toBe("unplugged");
    await rawLine(id, "bench-state", { event: "lost" });
    const view = await look(id);
    expect(view.bench.plug).toBe("not-known");
    expect(view.plugFacts.plugSeq).toBe(view.seq);
    expect(signOffWord(view, SIGN_OFF).unproven).toContain("line-unreadable");
  });
});

describe("a log that the reducer stumbles over", () => {
  it("shows its bare lines, and takes no other job down", async () => {
    const id = Number(await newJob());
    const entries = await entriesOf(shop.db, id);
    const context = { ...KNOWLEDGE, limits: LIMITS };
    const view = viewOf(id, entries, context, () => {
      throw new Error("a fault of ours");
    });
    expect(view.seq).toBe(entries.length);
    expect(view.ledger.map(({ kind }) => kind)).toEqual(entries.map(() => "unreadable"));
    expect(view.bench.plug).toBe("not-known");
  });
});

describe("what is never kept", () => {
  it.each<[string, string, unknown, number]>([
    ["an entry without payload", "note", undefined, 422],
    ["an entry of nothing", "note", null, 422],
    ["a reason that is no text", "not-done", { what: "insulation", why: 7 }, 422],
    [
      "a part left out for a reason that is no text",
      "refitted",
      { line: 1, how: "left-out", count: null, why: 0, carried: [] },
      422,
    ],
    ["an event that every object has", "bench-state", { event: "constructor" }, 422],
    ["a plate that every object has", "nameplate", { plate: "constructor" }, 422],
    ["a reading of what every object has", "reading", { of: "constructor" }, 422],
    [
      "a look answered with what every object has",
      "reading",
      { of: "dead-check", checkId: "look-and-cord", entered: "constructor", taken: "now" },
      422,
    ],
    ["a figure of no quantity", "acceptance-run", { figures: [{ quantity: "constructor" }] }, 422],
  ])("%s", async (_, kind, payload, status) => {
    const id = await newJob();
    const before = await look(id);
    const answer = await post(id, kind, payload);
    expect(answer.status).toBe(status);
    expect(answer.problem.issues.length).toBeGreaterThan(0);
    expect(await look(id)).toEqual(before);
  });

  it("a bill that no form holds is refused by name, and the job can be read after it", async () => {
    const id = await newJob();
    const { value, version } = (await call<{ value: object; version: number }>(getSettings)).body;
    const dear = { value: { ...value, labourRateMinor: 1e8 }, version };
    expect((await call(putSettings, { method: "PUT", body: dear })).status).toBe(200);
    const signed = await post(id, "signed-off", { minutes: 100_000, partsMinor: 0, watch: "" });
    expect(signed.status).toBe(422);
    expect(signed.problem.issues[0]?.path).toBe("payload.labourMinor");
    expect((await look(id)).signedOff).toBeNull();
  });

  it("a job number beyond every whole number is no job", async () => {
    expect((await call(job, { params: { id: String(2 ** 53) } })).status).toBe(404);
  });

  it("settings of an unknown quantity, or at the edge of what a version can count", async () => {
    const { value, version } = (
      await call<{ value: { instruments: object[] }; version: number }>(getSettings)
    ).body;
    const odd = { ...value, instruments: [{ ...value.instruments[0], quantity: "constructor" }] };
    expect((await call(putSettings, { method: "PUT", body: { value: odd, version } })).status).toBe(422);
    expect((await call(putSettings, { method: "PUT", body: { value, version: 2 ** 31 - 1 } })).status).toBe(
      422,
    );
    expect((await call(putSettings, { method: "PUT", body: { value, version: 7_000 } })).status).toBe(409);
  });
});

describe("a route that is nothing but a run", () => {
  it("is kept with words after every repair that cures the leading suspect, and can be read", async () => {
    const id = await newJob({
      complaint: { signs: ["does-not-turn", "hum"], circumstance: "always", afterMinutes: null, words: "" },
    });
    for (const repair of ["fit-start-capacitor", "service-start-switch", "re-terminate"])
      expect((await post(id, "intervention", { repair, taken: "afterwards" })).status).toBe(200);
    const decided = await post(id, "decision", { route: "part", overrideWhy: "" });
    expect(decided.status).toBe(200);
    expect(decided.body.decision).toMatchObject({ repairs: [], label: "Run it as the complaint comes" });
    expect((await look(id)).unreadable).toEqual([]);
  }, 60_000);
});

describe("the same id with other content", () => {
  it("is a 409 that says so: entries, take-ins and readings alike", async () => {
    const id = await newJob();
    const { seq } = await look(id);
    const first = draft(seq, "note", { text: "one" });
    const send = (body: object) => call<JobView>(entries, { params: { id }, body });
    expect((await send(first)).status).toBe(200);
    expect((await send({ ...first, expectedSeq: 0 })).status).toBe(200);
    const other = await send({ ...first, payload: { text: "two" } });
    expect([other.status, other.problem.issues[0]?.code]).toEqual([409, "stale/entry-id"]);

    const door = takeInBody();
    expect((await call(takeIn, { body: door })).status).toBe(200);
    expect((await call(takeIn, { body: door })).status).toBe(200);
    expect((await call(takeIn, { body: { ...door, by: "right bench" } })).status).toBe(409);

    const [worked, another] = WORKED_INPUTS;
    const reading = { id: randomUUID(), ...worked, by: "left bench" };
    const kept = await call<{ at: string }>(keepReading, { body: reading });
    expect(kept.status, JSON.stringify(kept.problem)).toBe(200);
    expect((await call<{ at: string }>(keepReading, { body: reading })).body.at).toBe(kept.body.at);
    const changed = { ...reading, ...another };
    expect((await call(keepReading, { body: changed })).status).toBe(409);
  });
});

describe("settings that cannot be read", () => {
  it("stand at what ships, by name, and take nothing else with them", async () => {
    const { value, version } = (await call<{ value: object; version: number }>(getSettings)).body;
    expect((await call(putSettings, { method: "PUT", body: { value, version } })).status).toBe(200);
    await shop.db.execute(
      sql`update settings set value = value || '{"zone": 7, "limits": {"constructor": 1}}'::jsonb where id = 1`,
    );
    const read = await readSettings(shop.db);
    expect(read.unreadable).toEqual(["zone"]);
    expect(read.value).toMatchObject({ zone: "UTC", shopName: (value as { shopName: string }).shopName });
    for (const route of [bench, getSettings]) expect((await call(route)).status).toBe(200);
  });
});
