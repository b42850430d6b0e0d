// Small models whose best way can be worked out whole: how far one step and two steps ahead are from it.

import { type MachineState, machineStateAfter, stateChangeMinutes } from "@/core/cost/state-change-cost";
import { trialCost } from "@/core/cost/trial-cost";
import { buildHypotheses } from "@/core/isolation/hypotheses";
import { modelFrom } from "@/core/isolation/model";
import type { OutcomeTable } from "@/core/isolation/outcome-table";
import { repairGroups } from "@/core/isolation/repair-groups";
import { single } from "@/core/isolation/variants";
import type { MachineRepair } from "@/core/knowledge/kind-costs";
import type { Parameters } from "@/core/knowledge/parameters";
import type { Access, Fault, Move, Provenance } from "@/core/knowledge/types";
import { type SeededRandom, seededRandom } from "@/core/seeded-random";
import { type Bench, GIVE_UP, MINUTE, priceOf, type Search, trialsIn } from "./machine";
import { advice } from "./policies";
import { mean } from "./run";

const FAULTS = 6;
const MOVES = 6;
const ANSWERS = 3;
const MADE_UP: Provenance = {
  basis: "judgement",
  source: "made-up",
  place: "reduced model",
  reviewed: null,
};
const FAMILY = "reduced";

const between = (random: SeededRandom, low: number, high: number): number =>
  low + random.next() * (high - low);

/** Chances of the answers under each set of faults: each fault pulls towards an answer of its own. */
function tableFor(faults: number, random: SeededRandom): OutcomeTable {
  const pull = Array.from({ length: MOVES }, () =>
    Array.from({ length: faults }, () => Array.from({ length: ANSWERS }, () => random.next() ** 3)),
  );
  const sets: (readonly number[])[] = [];
  const numbers = new Map<string, number>();
  const rows: Float64Array[][] = Array.from({ length: MOVES }, () => []);
  const stateOf = (set: readonly number[]): number => {
    const key = set.join();
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, sets.length);
    sets.push(set);
    rows.forEach((ofMove, move) => {
      const raw = Array.from({ length: ANSWERS }, (_, answer) =>
        set.reduce((product, fault) => product * (0.02 + (pull[move]?.[fault]?.[answer] ?? 0)), 1),
      );
      const sum = raw.reduce((total, one) => total + one, 0);
      ofMove.push(Float64Array.from(raw, (one) => one / sum));
    });
    return sets.length - 1;
  };
  return {
    stateOf,
    caseOf: (_, state) => state,
    caseRows: (move) => rows[move] ?? [],
    chance: (move, outcome, state) => rows[move]?.[state]?.[outcome] ?? 0,
    ratioChance: () => undefined,
    faultsOf: (state) => sets[state] ?? [],
    size: () => sets.length,
  };
}

function faultsFrom(random: SeededRandom): Fault[] {
  return Array.from({ length: FAULTS }, (_, index) => ({
    id: `fault-${index}`,
    label: `Fault ${index}`,
    station: `station-${index}`,
    families: [FAMILY],
    odds: { [FAMILY]: between(random, 0.05, 1) },
    does: [],
    modes: [],
    leadsTo: [],
    provenBy: [],
    fix: { repair: `repair-${index}`, success: between(random, 0.8, 0.98) },
    ladder: [],
    beforeOrder: [],
    hazard: undefined,
    unproved: undefined,
    shows: 1,
    isConsequence: false,
    isBrake: false,
    provenance: MADE_UP,
  }));
}

function movesFrom(random: SeededRandom, hasAccess: boolean): Move[] {
  return Array.from({ length: MOVES }, (_, index) => ({
    id: `move-${index}`,
    title: `Move ${index}`,
    kind: "look" as const,
    minutes: between(random, 1, 12),
    hazardMinutes: 0,
    tier: 1 as const,
    needs: "none" as const,
    touches: ["past" as const],
    power: "off" as const,
    speaksOf: [],
    stalls: [],
    stops: {},
    ...(hasAccess && index % 2 === 0 ? { access: `cover-${index % 4}` } : {}),
    families: [FAMILY],
    stations: [],
    how: "",
    outcomes: Array.from({ length: ANSWERS }, (__, answer) => `${answer}`),
    answers: {},
    pitfalls: [],
    settledBy: [],
    cases: [],
    number: undefined,
    provenance: MADE_UP,
  }));
}

export function reducedBench(
  seed: number,
  hasAccess: boolean,
  parameters: Parameters,
  maxRoots: 1 | 2 = 2,
): Bench {
  const random = seededRandom(seed);
  const faults = faultsFrom(random);
  const moves = movesFrom(random, hasAccess);
  const repairs = faults.map(({ fix }): MachineRepair => {
    const minutes = between(random, 5, 60);
    return {
      id: fix.repair,
      label: fix.repair,
      done: fix.repair,
      minutes,
      hands: minutes,
      covers: [],
      partMinor: between(random, 0, 6000),
      provenance: MADE_UP,
    };
  });
  const access: Access[] = ["cover-0", "cover-2"].map((id) => ({
    id,
    label: id,
    minutes: between(random, 4, 20),
    closing: 0,
    names: [],
    provenance: MADE_UP,
  }));
  const model = modelFrom(
    buildHypotheses(faults.map(single), FAMILY, maxRoots, parameters),
    moves,
    tableFor(FAULTS, random),
    parameters,
  );
  return {
    family: FAMILY,
    model,
    every: model.hypotheses.all,
    groups: repairGroups(model, repairs, {}, MINUTE, parameters),
    knowledge: { access, repairs, stations: [], inseparable: [] },
    parameters,
  };
}

const START: MachineState = { isDead: true, isDrained: true, opened: [] };

interface Branch {
  readonly chance: number;
  readonly search: Search;
}

/** What each answer of a move leads to. */
function branches({ model, knowledge, parameters }: Bench, search: Search, index: number): Branch[] {
  const move = model.moves[index];
  if (!move) return [];
  return move.outcomes.map((outcomeId, outcome) => {
    const next = search.belief.map(
      (one, at) => one * model.table.chance(index, outcome, model.states[at] ?? 0, "cold"),
    );
    const chance = next.reduce((total, one) => total + one, 0);
    return {
      chance,
      search: {
        ...search,
        path: `${search.path} ${index}:${outcomeId}`,
        belief: next.map((one) => one / chance),
        asked: new Set([...search.asked, index]),
        machineState: machineStateAfter(move, search.machineState),
        minutes: search.minutes + stateChangeMinutes(move, search.machineState, knowledge.access, parameters),
      },
    };
  });
}

function startOf({ model }: Bench): Search {
  return {
    path: "",
    belief: Float64Array.from(model.hypotheses.all, ({ prior }) => prior),
    asked: new Set(),
    machineState: START,
    spent: 0,
    moves: 0,
    minutes: 0,
    liveMinutes: 0,
  };
}

const tryNow = (bench: Bench, search: Search): number => trialCost(trialsIn(bench, search.belief), GIVE_UP);

/** Answers heard so far in the order of the moves: the order they came in changes nothing. */
const heardKey = ({ path }: Search): string => path.trim().split(" ").sort().join(" ");

/** Cost of a move and what follows, when what follows costs what `next` says. */
function costOf(bench: Bench, search: Search, index: number, next: (search: Search) => number): number {
  const move = bench.model.moves[index];
  if (!move) return Number.POSITIVE_INFINITY;
  return branches(bench, search, index).reduce(
    (sum, branch) => sum + branch.chance * next(branch.search),
    priceOf(bench, move, search.machineState),
  );
}

/** The least expected cost of any way at all, by dynamic programming over what was heard. */
export function optimum(bench: Bench): number {
  const kept = new Map<string, number>();
  const from = (search: Search): number => {
    const key = heardKey(search);
    const known = kept.get(key);
    if (known !== undefined) return known;
    let best = tryNow(bench, search);
    for (const index of bench.model.moves.keys())
      if (!search.asked.has(index)) best = Math.min(best, costOf(bench, search, index, from));
    kept.set(key, best);
    return best;
  };
  return from(startOf(bench));
}

/** Expected cost of following the program's own advice, so many steps ahead, exactly. */
export function advised(bench: Bench, lookAhead: 1 | 2): number {
  const from = (search: Search): number => {
    const first = advice(bench, search, lookAhead).moves[0];
    if (!first) return tryNow(bench, search);
    const index = bench.model.moves.findIndex(({ id }) => id === first.moveId);
    return costOf(bench, search, index, from);
  };
  return from(startOf(bench));
}

export interface ReducedReport {
  readonly models: number;
  readonly oneStep: { readonly mean: number; readonly within: number };
  readonly twoSteps: { readonly mean: number; readonly within: number; readonly worst: number };
}

/** Half the models with covers that cost minutes to open, half without. Losses are shares of the optimum. */
export function reducedReport(models: number, parameters: Parameters): ReducedReport {
  const losses = Array.from({ length: models }, (_, index) => {
    const bench = reducedBench(7 + index * 7919, index % 2 === 1, parameters);
    const best = optimum(bench);
    return { one: advised(bench, 1) / best - 1, two: advised(bench, 2) / best - 1 };
  });
  const within = (pick: (one: (typeof losses)[number]) => number): number =>
    mean(losses.map((one) => (pick(one) <= 0.05 ? 1 : 0)));
  return {
    models,
    oneStep: { mean: mean(losses.map(({ one }) => one)), within: within(({ one }) => one) },
    twoSteps: {
      mean: mean(losses.map(({ two }) => two)),
      within: within(({ two }) => two),
      worst: Math.max(...losses.map(({ two }) => two)),
    },
  };
}
