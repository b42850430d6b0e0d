import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/view";
import { seededRandom } from "@/core/seeded-random";
import { parseWith } from "@/core/validate";
import { entryDraftSchema } from "@/log/entry-draft.input";
import { decisionFor } from "@/server/services/decide-job";
import { type EntryDraft, recordWithin } from "@/server/services/record-entry";
import { seedDemo } from "@/server/services/seed-demo";
import { type ShopContext, shopContextOn } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";
import { everyJob } from "./every-job";
import { pagesOf } from "./fuzz/pages";
import { openShop } from "./shop";
import { CARDER } from "./shop-machine";

/** 500 in `npm run bench:shop`, and every offer instead of every third. */
const LOGS = Number(process.env["OFFERED_LOGS"] ?? 1);
const EVERY = LOGS > 1 ? 1 : 4;
const STEPS = 6;
const SEED = 20_261_128;
const NOW = "2026-11-25T10:00:00.000Z";
const BEST = 2;
/** Making eleven pages takes longer than the entry. */
const PAGES_EVERY = 6;

let shop: Awaited<ReturnType<typeof openShop>>;
let context: ShopContext;
beforeAll(async () => {
  shop = await openShop();
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
  context = await shopContextOn(shop.db);
}, 60_000);
afterAll(() => shop.close());

interface Offered {
  readonly kind: string;
  readonly stage: string;
  readonly payload: object;
}

/** What the screens offer for a job as it stands: the best moves with each of their answers, the routes, the repairs, what is off. */
async function offered(view: JobView): Promise<readonly Offered[]> {
  const decided = await decisionFor(view, context);
  const { moves = [], trials = [] } = decided.ok ? decided.value.isolation : {};
  const answers = moves.slice(0, BEST).flatMap(({ moveId }) => {
    const outcomes = context.knowledge.moves.find(({ id }) => id === moveId)?.outcomes ?? [];
    return [...outcomes, "not-sure", "could-not"].map((outcomeId) => ({
      kind: "answer",
      stage: "isolate",
      payload: { moveId, outcomeId, circumstance: "cold", taken: "afterwards" },
    }));
  });
  const routes = decided.ok
    ? decided.value.decision.routes.flatMap(({ id }) => (id === "measure" ? [] : [id]))
    : [];
  return [
    ...answers,
    ...routes.flatMap((route) =>
      ["", "the owner asks for it"].map((overrideWhy) => ({
        kind: "decision",
        stage: "decide",
        payload: { route, overrideWhy },
      })),
    ),
    ...trials
      .slice(0, BEST)
      .flatMap(({ repairs }) => repairs.slice(0, 1))
      .map((repair) => ({
        kind: "intervention",
        stage: "put-back",
        payload: { repair, taken: "afterwards" },
      })),
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => ({
        kind: "refitted",
        stage: "put-back",
        payload: { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" },
      })),
    ...[
      view.machine.connection === "fixed"
        ? { event: "isolated", volts: "0 V", means: "two-pole tester" }
        : { event: "unplugged", evidence: "plug-in-sight" },
      { event: "plugged-in", outlet: "not-said" },
    ].map((payload) => ({ kind: "bench-state", stage: "make-safe", payload })),
    { kind: "struck", stage: "isolate", payload: { seq: view.seq, why: "", reason: "none" } },
  ];
}

class Undone extends Error {}

/** Posts one as a screen does. @returns the job after it, or the codes of why not */
async function posted(
  view: JobView,
  { kind, stage, payload }: Offered,
  keep: boolean,
): Promise<JobView | readonly string[]> {
  const draft = parseWith(entryDraftSchema, {
    entryId: randomUUID(),
    expectedSeq: view.seq,
    kind,
    stage,
    by: "left bench",
    payload,
  });
  if (!draft.ok) return draft.issues.map(({ code }) => `schema ${code}`);
  let kept: JobView | readonly string[] = [];
  await shop.db
    .transaction(async (tx) => {
      const done = await recordWithin(tx, view.jobId, draft.value as EntryDraft, NOW, context);
      kept = done.ok ? done.value : done.issues.map(({ code }) => code);
      if (!keep) throw new Undone();
    })
    .catch((error: unknown) => {
      if (!(error instanceof Undone)) throw error;
    });
  return kept;
}

/** What may be answered to an offer: what SAFETY withholds, and a motor condemned without proof or a word of why. */
const REFUSALS = /^(guard\/.+|decide\/no-proof)$/;

async function expectOffersHold(
  view: JobView,
  counts: { kept: number; refused: Map<string, number> },
): Promise<void> {
  for (const [index, offer] of (await offered(view)).entries()) {
    if ((index + view.jobId) % EVERY !== 0) continue;
    const done = await posted(view, offer, false);
    const what = `job ${view.jobId}, line ${view.seq}: ${JSON.stringify(offer)}`;
    if (Array.isArray(done)) {
      for (const code of done as string[]) {
        expect(code, what).toMatch(REFUSALS);
        counts.refused.set(code, (counts.refused.get(code) ?? 0) + 1);
      }
      continue;
    }
    const after = done as JobView;
    counts.kept += 1;
    expect(after.seq, what).toBe(view.seq + 1);
    expect(after.unreadable, what).toEqual([]);
    if (index % PAGES_EVERY === 0) expect(pagesOf(after, context).failed, what).toEqual([]);
  }
}

describe("every action that is offered, posted as it is offered", () => {
  const counts = { kept: 0, refused: new Map<string, number>() };

  it("from every demo job, gives a log that reduces and pages that can be made", async () => {
    for (const { view } of await everyJob(context)) await expectOffersHold(view, counts);
    expect(counts.kept).toBeGreaterThan(40);
  }, 240_000);

  it(
    `from ${LOGS} logs that came of such actions, at every step`,
    async () => {
      const { next } = seededRandom(SEED);
      const pick = <T>(from: readonly T[]): T => from[Math.floor(next() * from.length)] as T;
      for (let log = 0; log < LOGS; log += 1) {
        const made = await takeIn(
          {
            entryId: randomUUID(),
            by: "left bench",
            takenIn: { ...CARDER, family: pick(context.knowledge.families).id },
            owner: null,
            complaint: { signs: ["hum"], circumstance: "cold", afterMinutes: null, words: "" },
            plate: null,
            pictures: [],
          },
          NOW,
          context,
        );
        if (!made.ok) throw new Error(made.issues[0]?.message);
        let view = (await everyJob(context)).find((one) => one.view.jobId === made.value)?.view as JobView;
        for (let step = 0; step < STEPS; step += 1) {
          const done = await posted(view, pick(await offered(view)), true);
          if (!Array.isArray(done)) view = done as JobView;
        }
        expect(pagesOf(view, context).failed).toEqual([]);
        await expectOffersHold(view, counts);
      }
    },
    60_000 + LOGS * 30_000,
  );
});
