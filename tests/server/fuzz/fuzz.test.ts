import { describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { ENTRY_KINDS } from "@/log/schemas";
import { GET as bench } from "@/pages/api/bench";
import { GET as find } from "@/pages/api/jobs";
import { GET as job } from "@/pages/api/jobs/[id]";
import { GET as settings } from "@/pages/api/settings";
import { GET as timers } from "@/pages/api/timers";
import { factsOf } from "@/server/repositories/job-facts";
import { workOutFacts } from "@/server/services/job-facts";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { allEntries } from "../every-job";
import { call, openShop } from "../shop";
import { pagesOf } from "./pages";
import { type Asked, requests, send } from "./requests";

/** 200,000 in npm run bench:shop. */
const COUNT = Number(process.env["FUZZ_REQUESTS"] ?? 800);
const SEED = Number(process.env["FUZZ_SEED"] ?? 20_261_128);
/** In `npm test` other tests run beside it on the same two cores. */
const SLOW_MS = COUNT > 10_000 ? 2_000 : 6_000;
/** Pages are made of every so many accepted entries: making eleven of them costs more than the entry. */
const PAGES_EVERY = 12;
/** Logs grow: a new shop every so many requests. */
const ROUND = 2_000;
const JOBS = [101, 102, 103, 104, 105, 106, 107, 108, 109, 110];

/** What went wrong, once a kind of wrong. */
class Wrongs {
  private readonly all = new Map<string, unknown>();
  add(why: string, { route: _, ...asked }: Asked): void {
    const key = why.split("\n").slice(0, 4).join(" | ");
    if (!this.all.has(key)) this.all.set(key, asked);
  }
  get list(): readonly unknown[] {
    return [...this.all].slice(0, 5);
  }
}

async function tried(asked: Asked, wrongs: Wrongs): Promise<Response | undefined> {
  const started = performance.now();
  try {
    const answer = await send(asked);
    if (answer.status >= 500) wrongs.add(`${answer.status} ${await answer.clone().text()}`, asked);
    if (performance.now() - started > SLOW_MS) wrongs.add(`took over ${SLOW_MS} ms`, asked);
    return answer;
  } catch (error) {
    wrongs.add(error instanceof Error ? (error.stack ?? error.message) : String(error), asked);
    return undefined;
  }
}

describe(`${COUNT} requests by somebody who means no good`, () => {
  const rounds = Array.from({ length: Math.ceil(COUNT / ROUND) }, (_, round) => SEED + round);
  it.each(rounds)(
    "seed %i: none is answered by 500, none takes long, what was kept reads back equal, every page can be made",
    async (seed) => {
      const shop = await openShop();
      await seedDemo(await shopContextOn(shop.db), new Date("2026-11-24T09:00:00Z"));
      const context = await shopContextOn(shop.db);
      const latest = new Map<number, JobView>();
      for (const id of JOBS) latest.set(id, (await call<JobView>(job, { params: { id: String(id) } })).body);
      const next = requests(seed, JOBS, (id) => latest.get(id));
      const wrongs = new Wrongs();
      const byStatus = new Map<number, number>();
      const kinds = new Set<string>();
      for (let count = 0; count < Math.min(ROUND, COUNT); count += 1) {
        const asked = next();
        const answer = await tried(asked, wrongs);
        if (!answer) continue;
        byStatus.set(answer.status, (byStatus.get(answer.status) ?? 0) + 1);
        if (!answer.ok || !asked.path.endsWith("/entries")) continue;
        const view = (await answer.json()) as JobView;
        latest.set(view.jobId, view);
        kinds.add(view.ledger.at(-1)?.kind ?? "");
        if ((byStatus.get(200) ?? 0) % PAGES_EVERY === 0)
          for (const why of pagesOf(view, context).failed) wrongs.add(why, asked);
      }
      expect(wrongs.list).toEqual([]);
      // A fuzzer whose requests all bounce off the schemas tries nothing.
      expect(byStatus.get(200) ?? 0, JSON.stringify([...byStatus])).toBeGreaterThan(
        Math.min(ROUND, COUNT) / 20,
      );
      const never = ENTRY_KINDS.filter((kind) => !kinds.has(kind));
      expect(never.length, `never kept: ${never.join(", ")}`).toBeLessThan(ENTRY_KINDS.length / 2);
      expect((await allEntries(shop.db)).filter(({ kind }) => kind === "unreadable")).toEqual([]);
      for (const [id, view] of latest) {
        expect((await call<JobView>(job, { params: { id: String(id) } })).body).toEqual(view);
        expect(pagesOf(view, context).failed).toEqual([]);
        expect(await factsOf(shop.db, id), `what is kept beside job ${id}`).toEqual(
          await workOutFacts(shop.db, view, context),
        );
      }
      for (const route of [bench, settings, timers]) expect((await call(route)).status).toBe(200);
      expect((await call(find, { query: "?find=carder" })).status).toBe(200);
      await shop.close();
    },
    180_000,
  );
});
