import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import type { JobView } from "@/core/job/log/view";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { placeOf } from "@/core/matching/places";
import { orderLineOf, toOrder } from "@/core/matching/to-order";
import { parseReading } from "@/core/quantity/parse-reading";
import { DEMO_PICTURES } from "@/demo/pictures";
import { STORIES } from "@/demo/stories";
import { POST as postEntry } from "@/pages/api/jobs/[id]/entries";
import { POST as match } from "@/pages/api/match";
import { openScratch } from "@/server/db/connect";
import { countJobs } from "@/server/queries/jobs";
import { openOrders } from "@/server/services/open-orders";
import { lastOpening, seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { everyJob } from "./every-job";
import { call, draft, openShop } from "./shop";

const ANCHOR = new Date("2026-11-25T09:00:00Z");
const BANNED =
  /paint sprayer|\bpool\b|\bspa\b|circulation pump|dryer|washing|furnace|air.condition|turntable|\bmill\b|dishwasher|rotary tool|oven|bathroom|dust collector|compressor|purifier|treadmill/i;

let shop: Awaited<ReturnType<typeof openShop>>;
/** The last line of each job that a test added to. */
const kept = new Map<number, number>();
let jobs: Awaited<ReturnType<typeof everyJob>>;
beforeAll(async () => {
  shop = await openShop();
  await seedDemo(await shopContextOn(shop.db), ANCHOR);
  jobs = await everyJob(await shopContextOn(shop.db));
});
afterAll(() => shop.close());

describe("the demo shop", () => {
  it("has at least six machines, each with all of its lines, none in the future of the anchor", () => {
    expect(jobs.length).toBeGreaterThanOrEqual(6);
    for (const [index, { view }] of jobs.entries()) {
      const story = STORIES[index];
      expect(view.seq).toBe((story?.lines.length ?? 0) + 2 + (story?.plate ? 1 : 0));
      expect(view.ledger.every(({ at }) => at <= ANCHOR.toISOString())).toBe(true);
    }
  });

  it("stands at different stages", () => {
    const readings = jobs.filter(({ view }) => view.readings.length > 0).length;
    const verdicts = new Set(jobs.flatMap(({ view }) => view.readings.map(({ finding }) => finding.verdict)));
    expect(readings).toBeGreaterThanOrEqual(3);
    expect(verdicts).toEqual(new Set(["sound", "faulty"]));
    expect(jobs.some(({ view }) => view.questions.length > 0)).toBe(true);
    expect(jobs.some(({ view }) => view.deadChecks.some(({ verdict }) => verdict === "failed"))).toBe(true);
    expect(jobs.some(({ view }) => view.deadChecks.length === 0)).toBe(true);
  });

  it("reads as its meters would: to their last digit, drained by the time that passed", () => {
    for (const { view } of jobs) {
      for (const { input } of view.readings) {
        const { reading, meter } = input as { reading: string; meter: { resolution: string } };
        const [shown, digit] = [
          parseReading(reading, "capacitance"),
          parseReading(meter.resolution, "capacitance"),
        ];
        if (
          !shown.ok ||
          !digit.ok ||
          shown.value.reading.kind !== "value" ||
          digit.value.reading.kind !== "value"
        )
          throw new Error(reading);
        const counts = shown.value.reading.value / digit.value.reading.value;
        expect(Math.abs(counts - Math.round(counts))).toBeLessThan(1e-6);
      }
      for (const { volts } of view.bench.stored) expect(Math.abs(volts ?? 0)).toBeLessThan(700);
    }
  });

  it("is of our own scenario", () => {
    expect(JSON.stringify(STORIES)).not.toMatch(BANNED);
  });

  it.each([
    ["2026-11-25T10:00:00Z", "2026-11-25T09:00:00.000Z"],
    ["2026-11-25T03:00:00Z", "2026-11-24T09:00:00.000Z"],
    ["2026-07-01T08:30:00Z", "2026-07-01T08:00:00.000Z"],
  ])("counts its dates from the last opening hour of the shop: at %s it was %s", (now, opening) => {
    expect(lastOpening(new Date(now), "Atlantic/Faroe").toISOString()).toBe(opening);
  });
});

describe("a demo shop that is cut off while it is made", () => {
  it("leaves nothing of itself: the next start makes it whole", async () => {
    const { db, close } = await openScratch();
    const drawing = vi.spyOn(DEMO_PICTURES as Map<string, string>, "get").mockReturnValue(undefined);
    await expect(seedDemo(await shopContextOn(db), ANCHOR)).rejects.toThrow(/demo picture/);
    drawing.mockRestore();
    expect(await countJobs(db)).toBe(0);
    const context = await shopContextOn(db);
    expect(context.settings.version).toBe(0);
    await seedDemo(context, ANCHOR);
    expect(await countJobs(db)).toBe(10);
    await close();
  });
});

/** The part of each demo job, with what would be typed at the bench where the job does not know it. */
const PARTS: readonly (readonly [number, string, Readonly<Record<string, string>>])[] = [
  [101, "run-capacitor", {}],
  [102, "start-capacitor", { resistor: "none" }],
  [103, "start-capacitor", {}],
  [104, "start-capacitor", { resistor: "none" }],
  [
    105,
    "brush",
    { thickness: "6.3", width: "13", length: "25", contact: "cap", spring: "own", grade: "electro" },
  ],
  [106, "ball-bearing", { bore: "8", outside: "22", width: "7", seals: "sealed", clearance: "CN" }],
  [107, "gear", { teeth: "18", module: "1", bore: "8", width: "10", helix: "straight", material: "plastic" }],
  [108, "ball-bearing", { bore: "20", outside: "47", width: "14", seals: "sealed", clearance: "CN" }],
  [109, "start-capacitor", { resistor: "none" }],
  [110, "belt", { section: "z", count: "1", length: "0.6 m", stretch: "fixed" }],
];

describe("the part of a demo job", () => {
  it.each(PARTS)(
    "of job %i is found, taken and ordered whole on one list: %s",
    async (id, family, values) => {
      const typed = Object.entries(values).map(([attribute, of]) => ({ attribute, of }));
      const asked = { family, marking: "", typed, settled: [], schools: [] };
      const answer = (await call<MatchAnswer>(match, { body: { jobId: id, asked } })).body;
      expect(answer.asks.map(({ attribute }) => attribute)).toEqual([]);
      const [first] = answer.candidates;
      if (!first) throw new Error("nothing fits");
      expect(["fit", "note"]).toContain(first.fit);
      const params = { id: String(id) };
      const post = async (kind: string, payload: object): Promise<JobView> => {
        const view = jobs.find(({ view: { jobId } }) => jobId === id)?.view;
        const seq = kept.get(id) ?? view?.seq ?? 0;
        const done = await call<JobView>(postEntry, { params, body: draft(seq, kind, payload) });
        expect(done.problem?.issues ?? []).toEqual([]);
        kept.set(id, done.body.seq);
        return done.body;
      };
      await post("part-chosen", { forPart: placeOf(family), partId: first.id, asked });
      const lines = toOrder(first, answer.fitted);
      for (const line of lines) {
        const payload = { part: orderLineOf(line), state: "ordered", from: line.from, expectedOn: null };
        await post("order-linked", payload);
      }
      const list = (await openOrders(await shopContextOn(shop.db), ANCHOR.toISOString())).filter(
        ({ jobId }) => jobId === id,
      );
      const before = jobs.find(({ view: { jobId } }) => jobId === id)?.view.orders ?? [];
      const open = before.filter(({ state }) => state === "ordered").map(({ part }) => part);
      expect(new Set(list.map(({ part }) => part))).toEqual(
        new Set([...open, ...lines.map((line) => orderLineOf(line))]),
      );
      expect(list.every(({ from }) => from !== "")).toBe(true);
      // A part that lies here is on no order; all that goes with it is.
      expect(lines.some(({ label }) => label === first.label)).toBe(first.shelf === null);
      expect(lines.map(({ label }) => label)).toEqual(
        expect.arrayContaining(first.goesWith.map(({ label }) => label)),
      );
    },
  );
});
