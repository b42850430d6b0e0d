import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { isEnd } from "@/core/decision/schools";
import type { Isolation } from "@/core/isolation/isolate";
import { isolationRequest } from "@/core/job/isolation/isolation-request";
import { POST as isolate } from "@/pages/api/isolate";
import { pastDecisions } from "@/server/repositories/job-facts";
import { completeEntry, type Draft } from "@/server/services/complete-entry";
import { servicesOn } from "@/server/services/completion-services";
import { decisionFor } from "@/server/services/decide-job";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { everyJob } from "./every-job";
import { call, openShop } from "./shop";

const NOW = "2026-11-25T10:00:00Z";
let shop: Awaited<ReturnType<typeof openShop>>;
let shopContext: Awaited<ReturnType<typeof shopContextOn>>;
let jobs: Awaited<ReturnType<typeof everyJob>>;
beforeAll(async () => {
  shop = await openShop();
  await seedDemo(await shopContextOn(shop.db), new Date("2026-11-25T09:00:00Z"));
  shopContext = await shopContextOn(shop.db);
  jobs = await everyJob(shopContext);
});
afterAll(() => shop.close());

function jobOf(machine: string) {
  const found = jobs.find(({ view }) => view.takenIn?.machine === machine);
  if (!found) throw new Error(`no ${machine} in the demo shop`);
  return found.view;
}

async function complete(machine: string, draft: Draft) {
  const done = await completeEntry(draft, {
    view: jobOf(machine),
    now: NOW,
    shop: shopContext,
    services: servicesOn(shop.db, shopContext),
  });
  return done.ok ? { entry: done.value.entry, issues: [] } : { entry: undefined, issues: done.issues };
}

describe("fit it now on Isolate and the same route on Decide", () => {
  it("cost the same for every demo job that isolation covers", async () => {
    let compared = 0;
    for (const { view } of jobs) {
      const decided = await decisionFor(view, shopContext);
      const settings = shopContext.settings.value;
      const body = isolationRequest(
        view,
        { bench: view.bench, unsettled: ["plug"], withheld: { guardsOn: ["outlet"], measured: ["outlet"] } },
        { ...shopContext.knowledge, parameters: shopContext.parameters, settings, counts: undefined },
      );
      const { status, body: isolation } = await call<Isolation>(isolate, { body });
      expect(decided.ok, view.takenIn?.machine).toBe(status === 200);
      if (!decided.ok) continue;
      const { routes } = decided.value.decision;
      const fitNow = routes.find(({ id }) => id === "part") ?? routes.find(isEnd);
      expect(fitNow?.mean, view.takenIn?.machine).toBeCloseTo(isolation.stop.trialCost, 1);
      compared += 1;
    }
    expect(compared).toBeGreaterThanOrEqual(6);
  });
});

describe("the rate charged", () => {
  it("changes neither the order of moves nor what a route costs, not even where it is nothing", async () => {
    const view = jobOf("Cider scratter");
    const at = async (labourRateMinor: number) => {
      const settings = { ...shopContext.settings, value: { ...shopContext.settings.value, labourRateMinor } };
      const found = await decisionFor(view, { ...shopContext, settings });
      if (!found.ok) throw new Error(found.issues[0]?.message);
      const { isolation, decision } = found.value;
      return { moves: isolation.moves.map(({ moveId }) => moveId), mean: decision.best.mean };
    };
    expect(await at(0)).toEqual(await at(2800));
    expect(await at(9900)).toEqual(await at(2800));
  });
});

describe("deciding", () => {
  const route = (payload: {
    route: "part" | "motor" | "replace";
    repair?: string;
    overrideWhy?: string;
  }): Draft => ({
    kind: "decision",
    payload: { overrideWhy: "", ...payload },
  });

  it("refuses a route that only changes the fuse, and says what would open it again", async () => {
    const { issues } = await complete("Floor polisher", route({ route: "part", repair: "fit-fuse" }));
    expect(issues).toMatchObject([
      {
        code: "decide/consequence-only",
        message:
          '"Fuse of the same rating" changes only the consequence: bearing seized would bring it about again. Repair that first.',
      },
    ]);
  });

  it("keeps the route with what it was held against, by the server's own figures", async () => {
    const { entry } = await complete("Wool carder", route({ route: "part" }));
    expect(entry).toMatchObject({
      kind: "decision",
      payload: { repairs: ["fit-start-capacitor"], label: "Fit a start capacitor" },
    });
  });

  it("a motor is not condemned without a direct proof, unless somebody says why", async () => {
    const asked = await complete("Cement mixer", route({ route: "motor" }));
    expect(asked.issues[0]).toMatchObject({ code: "decide/no-proof", path: "payload.overrideWhy" });
    const told = await complete(
      "Cement mixer",
      route({ route: "motor", overrideWhy: "owner wants it quick" }),
    );
    expect(told.entry?.payload).toMatchObject({ route: "motor", overrideWhy: "owner wants it quick" });
  });

  it("a repair that nothing speaks for, one that does not exist; a motor of unknown kind can be decided about", async () => {
    expect(
      (await complete("Wool carder", route({ route: "part", repair: "fit-belt" }))).issues[0]?.code,
    ).toBe("decide/nothing-to-try");
    const opener = await complete("Garage-door opener", route({ route: "part" }));
    expect(opener.entry?.payload).toMatchObject({ route: "part" });
    expect(
      (
        await complete("Wool carder", {
          kind: "intervention",
          payload: { repair: "curse", taken: "afterwards" },
        })
      ).issues[0]?.code,
    ).toBe("unknown/repair");
    expect(
      (await complete("Wool carder", { kind: "priced", payload: { of: "curse", minor: 1 } })).issues[0]?.code,
    ).toBe("unknown/repair");
  });
});

describe("signing off", () => {
  const sign: Draft = { kind: "signed-off", payload: { minutes: 50, partsMinor: 1200, watch: "" } };

  it("says the word that the log allows and works the bill out at the shop's rate", async () => {
    const { entry } = await complete("Feed mixer", sign);
    expect(entry?.payload).toMatchObject({
      word: "repaired",
      unproven: [],
      labourMinor: Math.round((50 / 60) * 2800),
    });
  });

  it("a machine with parts on the bench may only be called unfit for use", async () => {
    const { entry } = await complete("Wet grindstone", sign);
    expect(entry?.payload).toMatchObject({ word: "do-not-use" });
  });
});

describe("a figure of the job", () => {
  const priced = (of: string, minor: number, low?: number, high?: number): Draft => ({
    kind: "priced",
    payload: { of, minor, ...(low === undefined ? {} : { low }), ...(high === undefined ? {} : { high }) },
  });

  it("is one of the figures, or the price of a part, a donor's part or an assembly that exists", async () => {
    for (const of of ["second-hand", "rate", "fit-motor", "donor:fit-motor", "assembly:gear-motor"])
      expect((await complete("Wool carder", priced(of, 100))).entry?.payload).toEqual({
        of,
        minor: 100,
        low: null,
        high: null,
      });
    for (const of of ["curse", "donor:curse", "assembly:curse", "fit-motor:curse", "__proto__"])
      expect((await complete("Wool carder", priced(of, 100))).issues[0]?.code, of).toBe("unknown/repair");
  });

  it("is never that of a used part where only a new one is fitted", async () => {
    const { issues } = await complete("Wool carder", priced("donor:fit-thermal-fuse", 100));
    expect(issues[0]).toMatchObject({ code: "priced/new-only", path: "payload.of" });
    expect((await complete("Wool carder", priced("fit-thermal-fuse", 100))).issues).toEqual([]);
  });

  it("lies between its ends", async () => {
    expect((await complete("Wool carder", priced("machine", 100, 80, 120))).issues).toEqual([]);
    const { issues } = await complete("Wool carder", priced("machine", 100, 120, 80));
    expect(issues[0]).toMatchObject({
      code: "priced/ends",
      message: "A price of 100 does not lie between 120 and 80: the lowest comes first, the highest last.",
    });
  });
});

describe("closed jobs that were decided alike", () => {
  it("are counted with how they left and whether they came back, this one left out", async () => {
    const closed = jobs.filter(({ view }) => view.signedOff !== null && view.decision !== null);
    const rows = await pastDecisions(shop.db, 0);
    const sum = (of: "closed" | "repaired"): number => rows.reduce((all, row) => all + row[of], 0);
    expect(sum("closed")).toBe(closed.length);
    expect(sum("repaired")).toBe(closed.filter(({ view }) => view.signedOff?.word === "repaired").length);
    expect(sum("closed")).toBeGreaterThan(0);
    const without = await pastDecisions(shop.db, closed[0]?.view.jobId ?? 0);
    expect(without.reduce((all, row) => all + row.closed, 0)).toBe(closed.length - 1);
  });
});
