import { describe, expect, it } from "vitest";
import { type ActionKind, cheapestEnd } from "@/core/decision/action";
import { decide, firstBuyOf, needsProof, refusedRepairs } from "@/core/decision/decide";
import { decisionCase } from "@/core/decision/decision-case";
import { walk } from "@/core/decision/plan";
import { lookFirst, type RouteId } from "@/core/decision/routes";
import { isEnd } from "@/core/decision/schools";
import { searchIn } from "@/core/decision/search";
import { exactly } from "@/core/decision/spread";
import { caseFacts, isolationCosts, jobCosts } from "@/core/job/deciding/job-costs";
import { ownerOffer } from "@/core/job/deciding/owner-offer";
import type { KindOfMachine } from "@/core/knowledge/kind-costs";
import { isolated, type Said } from "../isolation/model";
import { KNOWLEDGE, PARAMETERS } from "../shop-context";

type Typed = Readonly<Record<string, number>>;
const MACHINE = { family: "capacitor-start" } as const;
const SETTINGS = { partsMarkupPercent: 20, kit: [] as string[] };

/** A machine as it was answered about, with what was typed, decided about as the shop does. */
const SAFE = { dangers: [], toldSeq: 0 };

function decided(
  said: readonly Said[],
  typed: Typed = { machine: 24_000 },
  machine: object = MACHINE,
  live: object = SAFE,
) {
  const view = {
    said: Object.fromEntries(
      Object.entries(typed).map(([of, minor]) => [of, { minor, low: null, high: null }]),
    ),
    parts: [],
    live,
  } as never;
  const kind = machine as typeof MACHINE;
  const costs = jobCosts(view, kind, { ...KNOWLEDGE, parameters: PARAMETERS, settings: SETTINGS });
  const { giveUpMinor, partPrices, ratePerHourMinor } = isolationCosts(costs);
  const { opened = [], ...closed } = kind as KindOfMachine;
  const found = isolated(said, {
    machine: { ...closed, value: { minor: giveUpMinor, currency: "EUR" } },
    bench: { plug: "unplugged", drained: true, deadChecksPassed: true, opened },
    costs: { partPrices, rankingRatePerHour: { minor: ratePerHourMinor, currency: "EUR" } },
  } as never);
  const facts = caseFacts(view, kind, costs);
  const caseFrom = (trials: typeof found.trials) => decisionCase(trials, facts, KNOWLEDGE, PARAMETERS);
  const options = caseFrom(found.trials);
  return { found, options, caseFrom, decision: decide(options) };
}

const HUMS: readonly Said[] = [
  ["owner-report", "hums-still"],
  ["push-start", "runs"],
  ["turn-shaft", "free"],
];

describe("a decision on the shop's own knowledge", () => {
  it("repairs alone cost what Isolate says, with mark-up, postage, a dear hour and days that cost", () => {
    for (const typed of [
      { machine: 24_000 },
      { machine: 24_000, rate: 4500, postage: 900 },
      { machine: 24_000, day: 250 },
      { machine: 24_000, worth: 9000 },
    ] as Typed[]) {
      const { found, decision } = decided(HUMS, typed);
      const fitNow = decision.routes.find(({ id }) => id === "part") ?? decision.routes.find(isEnd);
      // Isolate takes whole minor units for each part.
      expect(Math.abs((fitNow?.mean ?? 0) - found.stop.trialCost)).toBeLessThan(1);
    }
  });

  it("the best measurement is worth what Isolate says it is worth, where nothing but repairs follows", () => {
    const { found, options, caseFrom } = decided(HUMS);
    const { next, stop } = found;
    if (!next) throw new Error("no measurement is worth its price");
    const repairs = new Set(["repair"] as const);
    const route = lookFirst(
      {
        moveId: next.moveId,
        costMinor: next.costMinor,
        answers: next.answers.map(({ chance, trials }) => ({ chance, options: caseFrom(trials) })),
      },
      (then) => searchIn(then)({ ways: repairs }),
    );
    expect(route?.mean).toBeCloseTo(next.expected, 0);
    const now = walk(searchIn(options)({ ways: repairs }), options).mean;
    expect(now - (route?.mean ?? 0)).toBeCloseTo(stop.trialCost - next.expected, 0);
  });

  it("a capacitor proved weak is fitted first", () => {
    const { decision } = decided([...HUMS, ["start-capacitance", "below"]]);
    expect(["part", "pair", "then-motor"]).toContain(decision.best.id);
    expect(decision.best.steps[0]?.action.repairs).toContain("fit-start-capacitor");
    expect(decision.best.wrong).toBeLessThan(0.15);
  });

  it("a start winding proved open leads to another motor, and to another machine where that is cheap", () => {
    const said: readonly Said[] = [...HUMS, ["start-capacitance", "inside"], ["pair-ohms", "start-open"]];
    expect(decided(said, { machine: 60_000 }).decision.best.steps[0]?.action.repairs).toEqual(["fit-motor"]);
    expect(isEnd(decided(said, { machine: 9000 }).decision.best)).toBe(true);
  });

  it("an assembly stands among the routes of a kind that is sold with one, at its own price", () => {
    const { decision } = decided(
      [["owner-report", "hums-still"]],
      { "assembly:gear-motor": 5000 },
      { family: "permanent-split-capacitor", archetype: "ice-cream-churn" },
    );
    const assembly = decision.routes.find(({ id }) => id === "assembly");
    expect(assembly?.steps.some(({ action }) => action.kind === "assembly")).toBe(true);
  });

  it("a donor's part is a way of its own, less sure than a new one", () => {
    const { options } = decided([...HUMS, ["start-capacitance", "below"]], {
      machine: 24_000,
      "donor:fit-start-capacitor": 200,
    });
    const ways = options.causes.find(({ id }) => id === "fit-start-capacitor")?.ways;
    const donor = ways?.find(({ kind }) => kind === "donor");
    expect(donor?.success).toBeLessThan(ways?.at(-1)?.success ?? 0);
    // What the fault may have brought about is paid for with it.
    expect(Math.round(donor?.cash.likely ?? 0)).toBe(200);
  });

  it("what is never fitted used is no donor's, whatever a log of before says", () => {
    const typed = { machine: 24_000, "donor:fit-thermal-fuse": 1, "donor:fit-switch": 1 };
    const { options } = decided([["owner-report", "nothing"]], typed);
    expect(options.causes.map(({ id }) => id)).toContain("fit-thermal-fuse");
    const donors = options.causes.flatMap(({ ways }) => ways.filter(({ kind }) => kind === "donor"));
    expect(donors.flatMap(({ repairs }) => repairs)).toContain("fit-switch");
    expect(donors.flatMap(({ repairs }) => repairs)).not.toContain("fit-thermal-fuse");
  });

  it("what the owner would miss by it bounds what is spent: stopping comes in place of another machine", () => {
    const { options, decision } = decided(HUMS, { machine: 24_000, worth: 500 });
    expect(cheapestEnd(options).id).toBe("stop");
    expect(decision.best.id).toBe("stop");
  });
});

describe("a motor out of a donor", () => {
  it("deals with all that is in the motor, less surely and for fewer years, and waits for a proof like any motor", () => {
    const { options, decision } = decided(HUMS, { machine: 24_000, "donor:fit-motor": 500 });
    const [motor, donor] = (["motor", "donor-motor"] as const).map((kind) =>
      options.swaps.find((swap) => swap.kind === kind),
    );
    expect([...(donor?.leaves.keys() ?? [])]).toEqual([...(motor?.leaves.keys() ?? [])]);
    expect(donor?.success).toBeLessThan(motor?.success ?? 0);
    expect(donor?.years).toBeLessThan(motor?.years ?? 0);
    expect(donor?.cash.likely).toBe(500);
    const route = decision.routes.find(({ id }) => id === "donor");
    const first = { ...firstBuyOf({ id: "donor", steps: route?.steps ?? [] }), kind: "donor-motor" as const };
    expect(needsProof(first, 24_000, 0.25)).toBe(true);
  });
});

describe("what the owner is offered", () => {
  const view = { secondsSpent: 600, takenIn: null, reopened: null, ownerSaid: null } as never;
  const settings = { labourRateMinor: 6000, closingMinutes: 0, taxPercent: 0 };

  it("is the bill of the first step, a ceiling at the highest figures, and no tool of the shop's", () => {
    const { decision } = decided([...HUMS, ["start-capacitance", "below"]]);
    const offer = ownerOffer(view, decision.routes, settings);
    const [step] = offer?.mend.steps ?? [];
    if (!offer || !step) throw new Error("nothing to offer");
    const { minutes, cash } = step.action;
    // Ten minutes so far and those of the step at 60.00 an hour, and its parts.
    expect(offer.mendMinor).toBeCloseTo((10 + minutes.likely) * 100 + cash.likely, -0.5);
    expect(offer.mendMostMinor).toBeGreaterThan(offer.mendMinor);
    expect(offer.recommends).toBe("mend");
    const tooled = { ...step, action: { ...step.action, toolMinor: 500, cash: exactly(cash.likely + 500) } };
    const route = { ...offer.mend, steps: [tooled] };
    const rest = decision.routes.filter(isEnd);
    expect(ownerOffer(view, [route, ...rest], settings)?.mendMinor).toBe(offer.mendMinor);
  });

  it("asks for no more beforehand than the other way costs, but for the first step", () => {
    const { decision } = decided(HUMS);
    const offer = ownerOffer(view, decision.routes, settings);
    if (!offer) throw new Error("nothing to offer");
    const [, second] = offer.mend.steps;
    const others = decision.routes.filter(isEnd).map((end) => ({ ...end, cash: 1 }));
    const tight = ownerOffer(view, [offer.mend, ...others], settings);
    expect(second).toBeDefined();
    expect(tight?.mendMostMinor).toBeLessThan(offer.mendMostMinor);
    expect(offer.mendMostMinor).toBeLessThanOrEqual(offer.otherMinor);
  });

  it("advises against mending where an end costs less, and is none where nothing mends", () => {
    const { decision } = decided(HUMS, { machine: 24_000, worth: 500 });
    expect(ownerOffer(view, decision.routes, settings)?.recommends).toBe("other");
    expect(ownerOffer(view, decision.routes.filter(isEnd), settings)).toBeUndefined();
  });
});

describe("minutes by stage", () => {
  const noisy: readonly Said[] = [["owner-report", "noisy"]];
  const fitNow = (machine: object) => {
    const { found, decision, options } = decided(noisy, { machine: 60_000 }, machine);
    const step = options.causes.find(({ id }) => id === "fit-bearings")?.ways.at(-1);
    if (!step?.stages) throw new Error("no bearings among the causes");
    return { found, decision, step, stages: step.stages };
  };

  it("are opening, work, closing and the run, and add up to what the repair takes", () => {
    const { step, stages } = fitNow(MACHINE);
    expect(stages).toMatchObject({ access: 15, refit: 10, tests: PARAMETERS["trial-run-minutes"] });
    expect(stages.access + stages.work + stages.refit + stages.tests).toBeCloseTo(step.minutes.likely, 9);
  });

  it("what stands open is not opened again, here and in what Isolate says", () => {
    const [closed, open] = [fitNow(MACHINE), fitNow({ ...MACHINE, opened: ["end-bell"] })];
    expect(closed.step.minutes.likely - open.step.minutes.likely).toBeCloseTo(25, 9);
    expect(open.stages).toMatchObject({ access: 0, refit: 0 });
    const part = open.decision.routes.find(({ id }) => id === "part");
    expect(Math.abs((part?.mean ?? 0) - open.found.stop.trialCost)).toBeLessThan(1);
    expect(open.found.stop.trialCost).toBeLessThan(closed.found.stop.trialCost);
  });
});

describe("a tool that the shop does not have", () => {
  it("is bought with the first bearing, and with none where the shop has it or has said nothing", () => {
    const cash = (kit: string[]): number => {
      const costs = jobCosts({ said: {}, parts: [] }, MACHINE, {
        ...KNOWLEDGE,
        parameters: PARAMETERS,
        settings: { partsMarkupPercent: 0, kit },
      });
      return costs.parts.get("fit-bearings")?.cashMinor ?? 0;
    };
    const puller = KNOWLEDGE.kit.find(({ id }) => id === "bearing-puller")?.buyMinor ?? 0;
    expect(puller).toBeGreaterThan(0);
    expect(cash(["series-lamp"]) - cash(["series-lamp", "bearing-puller"])).toBe(puller);
    expect(cash([])).toBe(cash(["bearing-puller"]));
  });
});

describe("what may not be decided", () => {
  it("what cannot be found any more is given back with a day, but never where it tingled, smoked or failed a test", () => {
    const trials = [
      { repairs: [], chance: 0.7, cures: 0.7, minutes: 15, partMinor: 0 },
      { repairs: ["fit-switch"], chance: 0.3, cures: 0.28, minutes: 33, partMinor: 1350 },
    ];
    const hasRetest = (live: object): boolean => {
      const view = { said: {}, parts: [], live } as never;
      const costs = jobCosts(view, MACHINE, { ...KNOWLEDGE, parameters: PARAMETERS, settings: SETTINGS });
      const options = decisionCase(trials, caseFacts(view, MACHINE, costs), KNOWLEDGE, PARAMETERS);
      return decide(options).routes.some(({ id }) => id === "retest");
    };
    expect(hasRetest(SAFE)).toBe(true);
    expect(hasRetest({ ...SAFE, dangers: [{ kind: "earth", closedBy: null }] })).toBe(false);
    expect(hasRetest({ ...SAFE, toldSeq: 3 })).toBe(false);
    expect(hasRetest({ ...SAFE, dangers: [{ kind: "smoke", closedBy: null }] })).toBe(false);
  });

  it("fuse open with a locked shaft: the fuse is refused as a route, since it only changes the consequence", () => {
    const { found, decision } = decided([
      ["owner-report", "nothing"],
      ["fuse-ohms", "open"],
      ["turn-shaft", "locked"],
    ]);
    const refused = refusedRepairs(found.suspects[0], found.trials, KNOWLEDGE.faults);
    expect(refused).toContainEqual({ repair: "fit-fuse", fault: "fuse-open", root: "bearing-seized" });
    expect(decision.best.steps.flatMap(({ action }) => action.repairs)).not.toContain("fit-fuse");
  });

  it("a fuse that is the likely root itself is not refused", () => {
    const trials = [{ repairs: ["fit-fuse"], cures: 0.6 }];
    const leading = { roots: ["bearing-seized"], consequences: ["fuse-open"] };
    expect(refusedRepairs(leading, trials, KNOWLEDGE.faults)).toEqual([]);
  });

  it("a motor, another machine or a dear part waits for a proof; a cheap part, another shop and a halt do not", () => {
    const gate = (id: RouteId, kind: ActionKind | undefined, cashMinor: number, repairs = ["fit-belt"]) =>
      needsProof({ id, kind, repairs, cashMinor }, 20_000, 0.25);
    expect(gate("part", "repair", 100, ["fit-motor"])).toBe(true);
    expect(gate("donor", "donor", 100, ["fit-motor"])).toBe(true);
    expect(gate("motor", "motor", 100)).toBe(true);
    expect(gate("hold", "motor", 100)).toBe(true);
    expect(gate("replace", undefined, 0)).toBe(true);
    expect(gate("part", "repair", 6000)).toBe(true);
    expect(gate("part", "repair", 1400)).toBe(false);
    expect(gate("trade", undefined, 0)).toBe(false);
  });
});
