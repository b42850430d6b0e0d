import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { courseOf, likelihood, likelihoods, posterior } from "@/core/isolation/belief";
import type { Answer } from "@/core/isolation/evidence";
import { buildHypotheses, faultsFor, type Hypothesis } from "@/core/isolation/hypotheses";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import { movesFor, pathOf } from "@/core/isolation/machine-model";
import { modelFrom } from "@/core/isolation/model";
import { buildOutcomeTable } from "@/core/isolation/outcome-table";
import { presentOf } from "@/core/isolation/present";
import { single } from "@/core/isolation/variants";
import { stationsOf } from "@/core/knowledge/machine-kind";
import type { Fault, Knowledge } from "@/core/knowledge/types";
import { KNOWLEDGE, PARAMETERS, RUNS } from "../shop-context";
import { isolated, request, type Said } from "./model";

const FAMILIES = KNOWLEDGE.families.filter(({ stations }) => stations.length > 0).map(({ id }) => id);
const stationsIn = (family: string) => stationsOf({ family }, KNOWLEDGE);
const movesOf = (family: string) => movesFor(KNOWLEDGE.moves, family, stationsIn(family));
const saidIn = (family: string): fc.Arbitrary<Said[]> =>
  fc.uniqueArray(
    fc
      .constantFrom(...movesOf(family))
      .chain((move) => fc.constantFrom(...move.outcomes).map((outcome): Said => [move.id, outcome])),
    { maxLength: 6, selector: ([move]) => move },
  );
const anyCase = fc
  .constantFrom(...FAMILIES)
  .chain((family) => fc.record({ family: fc.constant(family), said: saidIn(family) }));
const LAW = { numRuns: Math.min(Math.ceil(RUNS.numRuns * 0.2), 300) };

const near = (one: number, other: number, within = 1e-9): void =>
  expect(Math.abs(one - other)).toBeLessThan(within);
const sorted = ({ suspects }: Isolation): [string, number][] =>
  suspects
    .map(({ roots, chance }): [string, number] => [roots.join(), chance])
    .sort(([a], [b]) => a.localeCompare(b));

function same(one: Isolation, other: Isolation, rename: (id: string) => string = (id) => id): void {
  const [left, right] = [new Map(sorted(one)), new Map(sorted(other))];
  const renamed = (ids: string): string => ids.split(",").map(rename).sort().join();
  for (const [ids, chance] of left) near(right.get(renamed(ids)) ?? -1, chance);
}

/** With interventions every hypothesis branches: fewer runs say as much. */
const BRANCHED = { numRuns: Math.min(Math.ceil(RUNS.numRuns / 25), 40) };

/** Two isolators build every family twice. */
const RENAMED = { numRuns: Math.ceil(RUNS.numRuns / 6) };

describe("laws of isolation", () => {
  it("chances of suspects, and of stations, sum to one", () => {
    fc.assert(
      fc.property(anyCase, ({ family, said }) => {
        const found = isolated(said, { machine: { family } });
        near(
          found.suspects.reduce((sum, { chance }) => sum + chance, 0),
          1,
        );
        near(
          found.stations.reduce((sum, { chance }) => sum + chance, 0),
          1,
        );
        for (const { answers } of found.moves)
          near(
            answers.reduce((sum, { chance }) => sum + chance, 0),
            1,
            1e-6,
          );
      }),
      LAW,
    );
  });

  it("the order of answers within an epoch does not matter", () => {
    fc.assert(
      fc.property(anyCase, fc.integer(), ({ family, said }, turn) => {
        const at = said.length === 0 ? 0 : Math.abs(turn) % said.length;
        same(
          isolated(said, { machine: { family } }),
          isolated([...said.slice(at), ...said.slice(0, at)].reverse(), { machine: { family } }),
        );
      }),
      LAW,
    );
  });

  it("an intervention that cures nothing changes nothing, whatever comes before it", () => {
    fc.assert(
      fc.property(anyCase, fc.double({ min: 0, max: 1, noNaN: true }), ({ family, said }, success) => {
        const faults = faultsFor(KNOWLEDGE.faults, family, stationsIn(family));
        const before = isolated(said, { machine: { family } });
        same(
          before,
          isolated(said, { machine: { family }, interventions: [{ epoch: 1, faultIds: [], success }] }),
        );
        same(
          before,
          isolated(said, {
            machine: { family },
            interventions: [{ epoch: 1, faultIds: faults.map(({ id }) => id), success: 0 }],
          }),
        );
      }),
      BRANCHED,
    );
  });

  it("what cures everything leaves of each suspect the share in which it did not work", () => {
    fc.assert(
      fc.property(anyCase, fc.double({ min: 0.01, max: 1, noNaN: true }), ({ family, said }, success) => {
        const faults = faultsFor(KNOWLEDGE.faults, family, stationsIn(family));
        const moves = movesOf(family);
        const table = buildOutcomeTable(faults, moves, pathOf(family, KNOWLEDGE), PARAMETERS);
        const model = modelFrom(buildHypotheses(faults, family, 1, PARAMETERS), moves, table, PARAMETERS);
        const answers = said.map(
          ([moveId, outcomeId], at): Answer => ({
            seq: at + 1,
            epoch: 0,
            circumstance: "cold",
            moveId,
            outcomeId,
          }),
        );
        const all = [{ epoch: 1, faultIds: faults.map(({ id }) => id), success }];
        const [before, belief] = [posterior(model, answers, []), posterior(model, answers, all)];
        if (!before || !belief) throw new Error("nothing explains");
        const now = presentOf(model, belief, answers, all);
        const byId = (of: readonly Hypothesis[], chances: Float64Array) => {
          const sums = new Map<string, number>();
          of.forEach(({ roots: [root] }, index) => {
            const id = root === undefined ? "mended" : (faults[root]?.id ?? "");
            sums.set(id, (sums.get(id) ?? 0) + (chances[index] ?? 0));
          });
          return sums;
        };
        const [was, is] = [byId(model.hypotheses.all, before), byId(now.model.hypotheses.all, now.belief)];
        near(is.get("mended") ?? 0, success);
        for (const [id, chance] of was) near(is.get(id) ?? 0, chance * (1 - success));
      }),
      BRANCHED,
    );
  });

  it("other names for the faults give the same results under those names", () => {
    const rename = (id: string): string =>
      id === "more-than-one" || id === "no-fault-found" ? id : `x-${[...id].reverse().join("")}`;
    const renamed = {
      ...KNOWLEDGE,
      faults: KNOWLEDGE.faults.map(
        (fault): Fault => ({
          ...fault,
          id: rename(fault.id),
          leadsTo: fault.leadsTo.map((edge) => ({ ...edge, fault: rename(edge.fault) })),
        }),
      ),
      inseparable: KNOWLEDGE.inseparable.map((group) => ({ ...group, faults: group.faults.map(rename) })),
    } satisfies Knowledge;
    const isolateRenamed = createIsolator(renamed);
    fc.assert(
      fc.property(anyCase, ({ family, said }) => {
        const other = isolateRenamed(request(said, { machine: { family } }));
        if (!other.ok) throw new Error(other.issues[0]?.message);
        same(isolated(said, { machine: { family } }), other.value, rename);
      }),
      RENAMED,
    );
  }, 90_000);

  it("all of the owner's words together move no two suspects by more than fifty to one", () => {
    const questions = KNOWLEDGE.moves.filter(({ kind }) => kind === "question");
    const told = fc.record({
      family: fc.constantFrom(...FAMILIES),
      picks: fc.array(fc.nat(1000), { minLength: questions.length, maxLength: questions.length }),
    });
    fc.assert(
      fc.property(told, ({ family, picks }) => {
        const faults = faultsFor(KNOWLEDGE.faults, family, stationsIn(family));
        const moves = questions.filter(({ families }) => families.includes(family));
        const table = buildOutcomeTable(faults, moves, pathOf(family, KNOWLEDGE), PARAMETERS);
        const model = modelFrom(buildHypotheses(faults, family, 1, PARAMETERS), moves, table, PARAMETERS);
        const answers = moves.map(
          ({ id, outcomes }, at): Answer => ({
            seq: at + 1,
            epoch: 0,
            circumstance: "cold",
            moveId: id,
            outcomeId: outcomes[(picks[at] ?? 0) % outcomes.length] ?? "",
          }),
        );
        const words = likelihoods(model, answers, []);
        expect(Math.max(...words) / Math.min(...words)).toBeLessThan(50 * (1 + 1e-9));
      }),
      RENAMED,
    );
  });

  it("tiers come before cost: no live move stands before an unplugged one", () => {
    fc.assert(
      fc.property(anyCase, ({ family, said }) => {
        const tiers = isolated(said, { machine: { family } }).moves.map(({ tier }) => tier);
        expect(tiers).toEqual([...tiers].sort((a, b) => a - b));
      }),
      LAW,
    );
  });
});

/** A plain reference: every subset of faults as a bit mask, chances of edges multiplied out one by one. */
function reference(
  faults: readonly Fault[],
  family: string,
  chance: (mask: number, answer: Answer) => number,
  answers: readonly Answer[],
  rate: number,
): Map<string, number> {
  const odds = faults.map((fault) => fault.odds[family] ?? 0);
  const total = odds.reduce((sum, one) => sum + one, 0);
  const rootWeights = new Map<number, number>();
  for (let a = 0; a < faults.length; a += 1) {
    rootWeights.set(1 << a, (odds[a] ?? 0) / total);
    for (let b = a + 1; b < faults.length; b += 1)
      rootWeights.set((1 << a) | (1 << b), (rate * (odds[a] ?? 0) * (odds[b] ?? 0)) / total ** 2);
  }
  const spread = (
    present: number,
    fresh: number,
    weight: number,
    depth: number,
    into: Map<number, number>,
  ): void => {
    const edges = new Map<number, number>();
    faults.forEach((fault, from) => {
      if (fresh & (1 << from))
        for (const { fault: to, chance: p } of fault.leadsTo) {
          const index = faults.findIndex(({ id }) => id === to);
          if (index >= 0 && !(present & (1 << index))) edges.set(index, (edges.get(index) ?? 1) * (1 - p));
        }
    });
    if (edges.size === 0 || depth === 3) return void into.set(present, (into.get(present) ?? 0) + weight);
    const list = [...edges];
    for (let pick = 0; pick < 1 << list.length; pick += 1) {
      const chosen = list.reduce((mask, [index], bit) => (pick & (1 << bit) ? mask | (1 << index) : mask), 0);
      const part = list.reduce(
        (product, [, away], bit) => product * (pick & (1 << bit) ? 1 - away : away),
        weight,
      );
      if (chosen === 0) into.set(present, (into.get(present) ?? 0) + part);
      else spread(present | chosen, chosen, part, depth + 1, into);
    }
  };
  const byRoots = new Map<string, number>();
  for (const [roots, weight] of rootWeights) {
    const states = new Map<number, number>();
    spread(roots, roots, weight, 0, states);
    const sum = [...states].reduce(
      (acc, [mask, part]) =>
        acc + part * answers.reduce((product, answer) => product * chance(mask, answer), 1),
      0,
    );
    byRoots.set(faults.flatMap((_, index) => (roots & (1 << index) ? [index] : [])).join(), sum);
  }
  const all = [...byRoots.values()].reduce((acc, one) => acc + one, 0);
  return new Map([...byRoots].map(([key, value]) => [key, value / all]));
}

const aName = (index: number): string => `fault-${index}`;
const randomModel = fc.integer({ min: 3, max: 6 }).chain((count) =>
  fc.record({
    odds: fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: count, maxLength: count }),
    edges: fc.array(
      fc.record({
        from: fc.nat(count - 1),
        to: fc.nat(count - 1),
        chance: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      }),
      { maxLength: 5 },
    ),
    picks: fc.array(fc.nat(), { minLength: 1, maxLength: 5 }),
    sets: fc.array(
      fc.constantFrom(...KNOWLEDGE.faults.flatMap(({ does }) => does.map((effect) => effect.sets))),
      {
        minLength: count,
        maxLength: count,
      },
    ),
  }),
);

describe("against a plain reference enumeration, on random models", () => {
  it("agrees to 1e-9 when both read the same stored outcome table", () => {
    fc.assert(
      fc.property(randomModel, ({ odds, edges, picks, sets }) => {
        const family = "x";
        const base = KNOWLEDGE.faults[0];
        if (!base) throw new Error("no faults");
        const faults = odds.map((odd, index): Fault => {
          const own = edges.filter(
            ({ from, to }, at) =>
              from === index &&
              to !== index &&
              edges.findIndex((edge) => edge.from === from && edge.to === to) === at,
          );
          return {
            ...base,
            id: aName(index),
            families: [family],
            odds: { [family]: odd },
            provenBy: [],
            modes: [],
            does: [{ circumstance: "any", sets: sets[index] ?? {}, signs: [] }],
            leadsTo: own.map(({ to, chance }) => ({ fault: aName(to), chance })),
          };
        });
        // What the owner says is bounded as a whole: the plain product is what was found.
        const moves = KNOWLEDGE.moves.filter(({ kind }) => kind !== "question");
        const table = buildOutcomeTable(faults.map(single), moves, { faults }, PARAMETERS);
        const model = modelFrom(
          buildHypotheses(faults.map(single), family, 2, PARAMETERS),
          moves,
          table,
          PARAMETERS,
        );
        const answers = picks.map((pick, index): Answer => {
          const move = moves[pick % moves.length];
          return {
            seq: index,
            epoch: 0,
            circumstance: "cold",
            moveId: move?.id ?? "",
            outcomeId: move?.outcomes[pick % (move?.outcomes.length ?? 1)] ?? "",
          };
        });
        const chance = (mask: number, answer: Answer): number => {
          const move = moves.findIndex(({ id }) => id === answer.moveId);
          const state = table.stateOf(faults.flatMap((_, index) => (mask & (1 << index) ? [index] : [])));
          return table.chance(move, moves[move]?.outcomes.indexOf(answer.outcomeId) ?? -1, state, "cold");
        };
        const plain = reference(faults, family, chance, answers, PARAMETERS["second-root-rate"]);
        const belief = posterior(model, answers, []);
        const own = new Map<string, number>();
        model.hypotheses.all.forEach(({ roots }, index) => {
          own.set(roots.join(), (own.get(roots.join()) ?? 0) + (belief?.[index] ?? 0));
        });
        expect(own.size).toBe(plain.size);
        for (const [roots, wanted] of plain) near(own.get(roots) ?? -1, wanted);
      }),
      LAW,
    );
  });

  it("a cured consequence whose root stayed comes back with its edge's chance at the next powered run", () => {
    const faults = faultsFor(KNOWLEDGE.faults, "capacitor-start", stationsIn("capacitor-start"));
    const moves = movesOf("capacitor-start");
    const model = modelFrom(
      buildHypotheses(faults, "capacitor-start", 1, PARAMETERS),
      moves,
      buildOutcomeTable(faults, moves, KNOWLEDGE, PARAMETERS),
      PARAMETERS,
    );
    const index = (id: string): number => faults.findIndex((fault) => fault.id === id);
    const both = [index("bearing-seized"), index("fuse-open")].sort((a, b) => a - b);
    const seized = { roots: [index("bearing-seized")], faults: both, prior: 1 };
    const heard = (outcomeId: string): Answer => ({
      seq: 1,
      epoch: 1,
      circumstance: "cold",
      moveId: "switch-on",
      outcomeId,
    });
    const cured = [{ epoch: 1, faultIds: ["fuse-open"], success: 1 }];
    const silent = likelihood(model, seized, courseOf(model, [heard("silent")], cured));
    const [edge] =
      KNOWLEDGE.faults
        .find(({ id }) => id === "bearing-seized")
        ?.leadsTo.filter(({ fault }) => fault === "fuse-open") ?? [];
    const on = moves.findIndex(({ id }) => id === "switch-on");
    const at = moves[on]?.outcomes.indexOf("silent") ?? 0;
    const whole = model.table.chance(on, at, model.table.stateOf([index("bearing-seized")]), "cold");
    const blown = model.table.chance(on, at, model.table.stateOf(both), "cold");
    near(silent, (edge?.chance ?? 0) * blown + (1 - (edge?.chance ?? 0)) * whole);
  });
});
