import { randomUUID } from "node:crypto";
import type { APIContext } from "astro";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { EMPTY_FOLLOW_UP_FACTS, EMPTY_REFITTED_FACTS, EMPTY_REMOVED_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/view";
import { GET as bench } from "@/pages/api/bench";
import { GET as events } from "@/pages/api/events";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { DELETE as forget } from "@/pages/api/jobs/[id]/owner";
import { POST as takeIn } from "@/pages/api/jobs/index";
import { DELETE as deleteOwner, PUT as putOwner } from "@/pages/api/owners/[id]";
import { GET as findOwner } from "@/pages/api/owners/index";
import { GET as timers } from "@/pages/api/timers";
import { GET as shopCalendar } from "@/pages/calendar.ics";
import { GET as calendar } from "@/pages/jobs/[id]/calendar.ics";
import { jobView } from "@/server/queries/jobs";
import { writeSettings } from "@/server/repositories/settings";
import { recordEntry } from "@/server/services/record-entry";
import { shopContextOn } from "@/server/services/shop-context";
import { call, draft, openShop, takeInBody } from "./shop";

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
async function jobContext() {
  const { knowledge, limits } = await shopContextOn(shop.db);
  return { ...knowledge, limits };
}
const post = (id: string, body: unknown) => call<JobView>(postEntry, { params: { id }, body });
const off = (change: object = {}) => ({
  ...EMPTY_REMOVED_FACTS,
  sort: "fastener",
  what: "screw",
  count: 4,
  where: "tray 2",
  ...change,
});
const back = (line: number, change: object = {}) => ({
  ...EMPTY_REFITTED_FACTS,
  line,
  how: "back",
  ...change,
});

describe("taking apart and putting back", () => {
  it("a count of minus two screws is refused, and nothing of the line is kept", async () => {
    const id = await newJob();
    const wrong = await post(id, draft(2, "removed", off({ count: -2 })));
    expect(wrong.status).toBe(422);
    expect(wrong.problem.issues[0]).toMatchObject({ path: "payload.count", given: -2 });
    expect(wrong.problem.issues[0]?.message).toMatch(/Count .*1/);
    expect((await post(id, draft(2, "removed", off()))).body.removed).toHaveLength(1);
  });

  it("half-ticked lines stay half ticked, and more than is off cannot go back", async () => {
    const id = await newJob();
    await post(id, draft(2, "removed", off()));
    const two = await post(id, draft(3, "refitted", back(3, { count: 3 })));
    expect(two.body.removed[0]).toMatchObject({ left: 1, refit: null });
    const many = await post(id, draft(4, "refitted", back(3, { count: 2 })));
    expect(many.status).toBe(409);
    expect(many.problem.issues[0]?.message).toBe("2 cannot go back: 1 of 4 screws are still off.");
    const rest = await post(id, draft(4, "refitted", back(3)));
    expect(rest.body.removed[0]).toMatchObject({ left: 0, refit: { seq: 5 } });
  });

  it("an earth is an earth whatever is posted, what nobody named protects until it is said, and as done now it needs its gate", async () => {
    const id = await newJob();
    const earth = { count: 1, sort: "wire", what: "wire", colour: "green-yellow" };
    await post(id, draft(2, "removed", off(earth)));
    await post(id, draft(3, "removed", off({ count: 1, sort: "part", what: "thingummy" })));
    const leave = (line: number, protects?: string) => ({
      ...EMPTY_REFITTED_FACTS,
      line,
      how: "left-out",
      why: "lost",
      protects,
    });
    const wrong = await post(id, draft(4, "refitted", leave(4, "toString")));
    expect(wrong.problem.issues[0]?.code).toBe("unknown/protection");
    const now = await post(id, draft(4, "refitted", { ...back(3), taken: "now" }));
    expect(now.problem.issues[0]).toMatchObject({ code: "guard/bench-state" });
    const kept = await post(id, draft(4, "refitted", leave(3, "none")));
    expect(kept.body.removed[0]?.refit).toMatchObject({ protects: "earth" });
    const unsaid = await post(id, draft(5, "refitted", leave(4)));
    expect(unsaid.body.live.dangers.map(({ kind }) => kind)).toEqual(["left-out", "left-out"]);
  });

  it("striking a removal that is back already is refused with the line that stands on it", async () => {
    const id = await newJob();
    await post(id, draft(2, "removed", off({ count: 1 })));
    await post(id, draft(3, "refitted", back(3)));
    const struck = await post(id, draft(4, "struck", { seq: 3, why: "", reason: "none" }));
    expect(struck.status).toBe(409);
    expect(struck.problem.issues[0]?.message).toBe("Line 3 cannot be struck out: lines 4 stand on it.");
  });

  it("the same line ticked on two devices is back once, and the second is told by whom", async () => {
    const id = await newJob();
    await post(id, draft(2, "removed", off({ count: 1, what: "wave washer", sort: "washer" })));
    const [one, other] = await Promise.all([
      post(id, draft(3, "refitted", back(3), { by: "left bench" })),
      post(id, draft(3, "refitted", back(3), { by: "tablet" })),
    ]);
    const [kept, refused] = one.status === 200 ? [one, other] : [other, one];
    expect([kept.status, refused.status]).toEqual([200, 409]);
    expect(kept.body.removed[0]?.refit).not.toBeNull();
    expect(refused.problem.issues[0]?.message).toMatch(
      /wave washer is back already, by line 4: it was ticked by/,
    );
  });

  it("two devices that tick different lines at once are both right", async () => {
    const id = await newJob();
    await post(id, draft(2, "removed", off({ count: 1 })));
    await post(id, draft(3, "removed", off({ count: 1 })));
    const both = await Promise.all([3, 4].map((line) => post(id, draft(4, "refitted", back(line)))));
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
  });

  it("signing off is refused while a washer is missing, and names it", async () => {
    const id = await newJob();
    await post(id, draft(2, "removed", off({ count: 1, what: "wave washer", sort: "washer" })));
    const signed = await post(id, draft(3, "signed-off", { minutes: 20, partsMinor: 0, watch: "" }));
    expect(signed.status).toBe(409);
    expect(signed.problem.issues[0]?.message).toContain("wave washer (line 3)");
  });

  it.each<[string, object, string]>([
    ["pinned", { line: 3, picture: 1, x: 0.5, y: 0.5 }, "guard/no-picture"],
    ["pinned", { line: 1, picture: 1, x: 0.5, y: 0.5 }, "guard/not-off"],
    ["reordered", { lines: [3, 3] }, "guard/not-an-order"],
    ["reordered", { lines: [2] }, "guard/not-an-order"],
    ["reopened", { why: "hums" }, "guard/not-signed-off"],
    ["followed-up", { line: 3, result: "good", words: "" }, "guard/no-promise"],
  ])("%s %j means nothing here: %s", async (kind, payload, code) => {
    const id = await newJob();
    await post(id, draft(2, "removed", off()));
    const answer = await post(id, draft(3, kind, payload));
    expect(answer.problem.issues.map((one) => one.code)).toContain(code);
  });
});

describe("looking again later", () => {
  const later = (change: object) => ({ ...EMPTY_FOLLOW_UP_FACTS, what: "Run it cold", ...change });

  it.each([
    ["Atlantic/Faroe", "2026-11-26", "2026-11-25"],
    // Noon in UTC is the next day there already.
    ["Pacific/Chatham", "2026-11-27", "2026-11-26"],
  ])("a past day is refused by the shop's own calendar: %s", async (zone, today, yesterday) => {
    const settings = (await shopContextOn(shop.db)).settings;
    await writeSettings(shop.db, { ...settings.value, zone }, settings.version, "2026-11-26T12:00:00Z");
    const shopContext = await shopContextOn(shop.db);
    const id = Number(await newJob());
    const at = "2026-11-26T12:00:00.000Z";
    const record = (onDay: string, expectedSeq: number) =>
      recordEntry(id, draft(expectedSeq, "follow-up", later({ onDay })) as never, at, shopContext);
    const past = await record(yesterday, 2);
    expect(past.ok ? "" : past.issues[0]?.message).toBe(
      `${yesterday} is past: today is ${today} here. Choose today or later, or leave the day out.`,
    );
    expect((await record(today, 2)).ok).toBe(true);
  });

  it("becomes a whole day in a calendar file, the same day in every zone", async () => {
    const id = await newJob();
    await post(id, draft(2, "follow-up", later({ onDay: "2027-02-28", belowCelsius: 12 })));
    await post(id, draft(3, "follow-up", later({ what: "Ask after 20 h", afterHours: 20 })));
    const response = (await calendar({ params: { id } } as unknown as APIContext)) as Response;
    expect(response.headers.get("content-type")).toContain("text/calendar");
    const lines = (await response.text()).split("\r\n");
    expect(lines).toContain("DTSTART;VALUE=DATE:20270228");
    expect(lines).toContain("DTEND;VALUE=DATE:20270301");
    expect(lines.filter((line) => line === "BEGIN:VEVENT")).toHaveLength(1);
    expect(lines.join("\n")).toContain("Only below 12 °C.");
  });

  it("stands in the shop's calendar at its secret address, without anybody's name", async () => {
    const id = await newJob({ owner: { name: "Fern Pottery", contact: "noon" } });
    await post(
      id,
      draft(2, "follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "Run it cold", onDay: "2099-01-05" }),
    );
    const ask = async (key: string): Promise<Response> =>
      (await shopCalendar({ url: new URL(`http://x/calendar.ics?key=${key}`) } as APIContext)) as Response;
    expect((await ask("")).status).toBe(404);
    const { settings } = await shopContextOn(shop.db);
    const calendarKey = randomUUID();
    await writeSettings(
      shop.db,
      { ...settings.value, calendarKey },
      settings.version,
      new Date().toISOString(),
    );
    expect((await ask(randomUUID())).status).toBe(404);
    const text = await (await ask(calendarKey)).text();
    expect(text).toContain("DTSTART;VALUE=DATE:20990105");
    expect(text.replace(/\r\n[ \t]/g, "")).toContain(`job ${id}: Run it cold`);
    expect(text).not.toMatch(/Fern|noon/);
  });

  it("is done once, and then no calendar holds it", async () => {
    const id = await newJob();
    await post(id, draft(2, "follow-up", later({ onDay: "2027-02-28" })));
    const done = { line: 3, result: "good", words: "" };
    expect((await post(id, draft(3, "followed-up", done))).body.followUps[0]?.done).toMatchObject({ seq: 4 });
    const again = await post(id, draft(4, "followed-up", done));
    expect(again.problem.issues[0]?.code).toBe("guard/done-already");
    expect(((await calendar({ params: { id } } as unknown as APIContext)) as Response).status).toBe(404);
  });
});

describe("plainly seen", () => {
  it("the look that proves it counts as evidence before the repair", async () => {
    const id = await newJob();
    const kept = await post(
      id,
      draft(2, "intervention", { repair: "fit-cord", seen: "seen-cord", taken: "afterwards" }),
    );
    expect(kept.body.interventions[0]).toMatchObject({ seen: { moveId: "look-cord", outcomeId: "damaged" } });
    expect(kept.body.answers).toMatchObject([{ moveId: "look-cord", outcomeId: "damaged", epoch: 0 }]);
    const wrong = await post(
      id,
      draft(3, "intervention", { repair: "fit-belt", seen: "seen-cord", taken: "afterwards" }),
    );
    expect(wrong.problem.issues[0]?.message).toContain("seen-belt");
  });
});

describe("at the door", () => {
  it("the same machine comes back to its owner, its twin to nobody yet", async () => {
    const first = await newJob({ owner: { name: "Fern Pottery", contact: "message" } });
    const from = (as: "same" | "twin") =>
      newJob({ owner: null, takenIn: { ...takeInBody().takenIn, from: { jobId: Number(first), as } } });
    const ids = [await from("same"), await from("twin")];
    const { jobs } = (await call<{ jobs: { standing: JobView; ownerName: string }[] }>(bench)).body;
    const owner = (id: string) => jobs.find(({ standing }) => standing.jobId === Number(id))?.ownerName;
    expect(ids.map(owner)).toEqual(["Fern Pottery", ""]);
  });

  it("what stands open on a machine comes in with it again, whatever is posted, and not with its twin", async () => {
    const body = takeInBody();
    const first = await newJob({ complaint: { ...body.complaint, signs: ["smoke"] } });
    const from = async (as: "same" | "twin") => {
      const id = await newJob({
        owner: null,
        takenIn: { ...body.takenIn, from: { jobId: Number(first), as } },
      });
      const found = await jobView(shop.db, Number(id), await jobContext());
      return found?.view.live.dangers.map(({ kind, openedBy }) => ({ kind, openedBy }));
    };
    expect(await from("same")).toEqual([{ kind: "told-smoke", openedBy: 1 }]);
    expect(await from("twin")).toEqual([]);
    const dropped = await call(takeIn, { body: { ...body, takenIn: { ...body.takenIn, carried: [] } } });
    expect(dropped.status).toBe(422);
  });

  it("an owner is forgotten by name and contact, and the job stays with every line", async () => {
    const id = await newJob({ owner: { name: "Fern Pottery", contact: "message, evenings" } });
    const page = async () => jobView(shop.db, Number(id), await jobContext());
    expect(await page()).toMatchObject({ ownerName: "Fern Pottery", ownerContact: "message, evenings" });
    const forgotten = await call(forget, { params: { id }, method: "DELETE" });
    expect(forgotten.body).toEqual({ jobId: Number(id) });
    expect(await page()).toMatchObject({ ownerName: "", ownerContact: "", view: { seq: 2 } });
    expect((await call(forget, { params: { id: "99999" }, method: "DELETE" })).status).toBe(404);
  });

  it("an owner who was here before is the same one; a change says what another device made of it", async () => {
    const name = "Wren Aldous";
    await newJob({ owner: { name, contact: "message" } });
    const find = async (words: string) =>
      (
        await call<{ owners: { ownerId: number; name: string; jobs: number }[] }>(findOwner, {
          query: `?find=${encodeURIComponent(words)}`,
        })
      ).body.owners;
    const [hit] = await find("wren");
    expect(hit).toMatchObject({ name, jobs: 1 });
    const ownerId = hit?.ownerId ?? 0;
    await newJob({ owner: { ownerId, name, contact: "" } });
    expect(await find("aldous")).toMatchObject([{ ownerId, jobs: 2 }]);
    // Another name is another person, whatever number comes with it.
    await newJob({ owner: { ownerId, name: "Sorrel Aldous", contact: "" } });
    expect(await find("aldous")).toHaveLength(2);
    const params = { id: String(ownerId) };
    const put = (to: string, version: number) =>
      call<{ version: number }>(putOwner, {
        params,
        method: "PUT",
        body: { name: to, contact: "noon", version },
      });
    expect((await put("Wren A.", 1)).body).toEqual({ version: 2 });
    const late = await put("Wren B.", 1);
    expect(late.status).toBe(409);
    expect(late.problem.issues[0]?.message).toContain('"Wren A."');
    expect((await call(deleteOwner, { params, method: "DELETE" })).status).toBe(200);
    expect(await find("wren")).toEqual([]);
    expect((await put("Wren C.", 3)).problem.issues[0]?.code).toBe("owner/forgotten");
  });

  it.each([
    [{ hazards: ["dragons"] }, /no hazard "dragons"/],
    [{ from: { jobId: 99_999, as: "same" } }, /no job 99999/],
    [{ feeMinor: -5 }, /Fee/],
  ])("%j is refused by name", async (change, words) => {
    const answer = await call(takeIn, {
      body: takeInBody({ takenIn: { ...takeInBody().takenIn, ...change } }),
    });
    expect(answer.status).toBe(422);
    expect(answer.problem.issues[0]?.message).toMatch(words);
  });

  it("a hazard that was said is taken back with a reason, on this visit and on the next, by another name too", async () => {
    const springs = { ...takeInBody().takenIn, hazards: ["springs"] };
    const id = (await call<{ jobId: number }>(takeIn, { body: takeInBody({ takenIn: springs }) })).body.jobId;
    const again = (change: object) =>
      post(String(id), draft(2, "taken-in", { ...springs, ownerId: null, hazards: [], ...change }));
    expect((await again({})).problem.issues).toMatchObject([
      { code: "guard/hazard-struck", path: "payload.whyWithout" },
    ]);
    expect((await again({ machine: "Green thing" })).problem.issues[0]?.message).toMatch(/springs.*dust/);
    const next = { ...springs, hazards: [], from: { jobId: id, as: "same" } };
    expect((await call(takeIn, { body: takeInBody({ takenIn: next }) })).problem.issues[0]?.code).toBe(
      "guard/hazard-struck",
    );
    expect((await again({ whyWithout: "taken out for good" })).body.takenIn?.hazards).toEqual([]);
  });
});

describe("every screen hears", () => {
  it("of each log that grew, after it was kept", async () => {
    const response = (await events({} as APIContext)) as Response;
    const reader = (response.body as ReadableStream<Uint8Array>).getReader();
    const id = await newJob();
    await post(id, draft(2, "note", { text: "x" }));
    let heard = "";
    while (!heard.includes(`"seq":3`)) heard += new TextDecoder().decode((await reader.read()).value);
    expect(heard).toContain(`event: job\ndata: {"jobId":${id},"seq":3}`);
    await reader.cancel();
    expect((await post(id, draft(3, "note", { text: "nobody listens" }))).status).toBe(200);
  });

  it("of timers that run, and no more of one that was struck out", async () => {
    const id = await newJob();
    await post(id, draft(2, "timer-started", { what: "drain", seconds: 90 }));
    const running = async () =>
      (
        await call<{ timers: { jobId: number; machine: string; endsAt: string }[] }>(timers)
      ).body.timers.filter(({ jobId }) => jobId === Number(id));
    const [timer] = await running();
    expect(timer?.machine).toBe("Wool carder");
    expect(Date.parse(timer?.endsAt ?? "") - Date.now()).toBeGreaterThan(80_000);
    await post(id, draft(3, "struck", { seq: 3, why: "", reason: "none" }));
    expect(await running()).toEqual([]);
  });

  it("the same entry sent twice is heard of, and kept once", async () => {
    const id = await newJob();
    const body = draft(2, "note", { text: "x" }, { entryId: randomUUID() });
    const [first, second] = [await post(id, body), await post(id, body)];
    expect([first.body.seq, second.body.seq]).toEqual([3, 3]);
  });
});
