// A model of one kind of machine, and hidden faults drawn from its own prior: the generator that the first report is made with.

import { type Standing, standingAfter, stateChangeMinutes } from "@/core/cost/state-change-cost";
import { trialPlan } from "@/core/cost/trial-cost";
import { type Model, modelFrom, posterior } from "@/core/isolation/belief";
import type { Answer } from "@/core/isolation/evidence";
import { type Field, fieldOf, trialsOf, type Weights } from "@/core/isolation/field";
import { buildHypotheses, faultsFor, type Hypothesis } from "@/core/isolation/hypotheses";
import { movesFor, stationsOf } from "@/core/isolation/isolate";
import { buildOutcomeTable } from "@/core/isolation/outcome-table";
import { type RepairGroups, repairGroups } from "@/core/isolation/repair-groups";
import type { Knowledge, Limits, Move } from "@/core/knowledge/types";

export const RATE = 2800;
export const MINUTE = RATE / 60;
export const GIVE_UP = 20_000;

export interface Bench {
  readonly family: string;
  readonly model: Model;
  readonly groups: RepairGroups;
  readonly knowledge: Knowledge;
  readonly limits: Limits;
}

export function benchFor(family: string, knowledge: Knowledge, limits: Limits): Bench {
  const stations = stationsOf({ family }, knowledge);
  const faults = faultsFor(knowledge.faults, family, stations);
  const moves = movesFor(knowledge.moves, family, stations);
  const table = buildOutcomeTable(faults, moves, knowledge, limits);
  const model = modelFrom(buildHypotheses(faults, family, 2, limits), moves, table);
  return { family, model, groups: repairGroups(model, [], knowledge.repairs, {}, MINUTE), knowledge, limits };
}

/** One machine with a hidden fault, and the answers it would give. */
export interface Hidden {
  readonly truth: Hypothesis;
  readonly state: number;
  /** The same answer whoever asks: each move's draw is its own. */
  answer(move: number): number;
}

function hash(seed: number, move: number): number {
  let x = (seed ^ Math.imul(move + 1, 0x9e3779b1)) >>> 0;
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b) >>> 0;
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35) >>> 0;
  return ((x ^ (x >>> 16)) >>> 0) / 4294967296;
}

export function hide({ model }: Bench, seed: number): Hidden {
  let left = hash(seed, -1);
  const truth =
    model.hypotheses.all.find(({ prior }) => {
      left -= prior;
      return left <= 0;
    }) ?? model.hypotheses.all[0];
  if (!truth) throw new Error("no hypotheses");
  const state = model.table.stateOf(truth.faults);
  return {
    truth,
    state,
    answer: (move) => {
      let rest = hash(seed, move);
      const outcomes = model.moves[move]?.outcomes ?? [];
      const found = outcomes.findIndex((_, outcome) => {
        rest -= model.table.chance(move, outcome, state, "cold");
        return rest <= 0;
      });
      return found === -1 ? outcomes.length - 1 : found;
    },
  };
}

/** Where a search stands. */
export interface Search {
  readonly belief: Float64Array;
  readonly field: Field;
  readonly now: Weights;
  readonly asked: ReadonlySet<number>;
  readonly standing: Standing;
  readonly spent: number;
  readonly minutes: number;
  readonly liveMinutes: number;
}

const START: Standing = { isDead: true, isDrained: false, opened: [] };

function look(bench: Bench, answers: readonly Answer[]): Pick<Search, "belief" | "field" | "now"> {
  const belief = posterior(bench.model, answers, []);
  if (!belief) throw new Error("nothing explains the answers");
  return { belief, ...fieldOf(bench.model, belief, bench.model.states, bench.groups, "cold") };
}

export function begin(bench: Bench, hidden: Hidden): { search: Search; answers: Answer[] } {
  const report = bench.model.moves.findIndex(({ id }) => id === "owner-report");
  const answers = [answerOf(bench, hidden, report, 0)];
  return {
    answers,
    search: {
      ...look(bench, answers),
      asked: new Set([report]),
      standing: START,
      spent: 0,
      minutes: 0,
      liveMinutes: 0,
    },
  };
}

function answerOf({ model }: Bench, hidden: Hidden, move: number, seq: number): Answer {
  const made = model.moves[move];
  return {
    seq,
    epoch: 0,
    circumstance: "cold",
    moveId: made?.id ?? "",
    outcomeId: made?.outcomes[hidden.answer(move)] ?? "",
  };
}

export function priceOf({ knowledge, limits }: Bench, move: Move, standing: Standing): number {
  const way = stateChangeMinutes(move, standing, knowledge.access, limits);
  return (move.minutes + way + move.hazardMinutes) * MINUTE;
}

export function make(bench: Bench, hidden: Hidden, search: Search, answers: Answer[], index: number): Search {
  const move = bench.model.moves[index];
  if (!move) throw new Error(`no move ${index}`);
  answers.push(answerOf(bench, hidden, index, answers.length));
  const way = stateChangeMinutes(move, search.standing, bench.knowledge.access, bench.limits);
  const minutes = move.minutes + way;
  return {
    ...look(bench, answers),
    asked: new Set([...search.asked, index]),
    standing: standingAfter(move, search.standing),
    spent: search.spent + priceOf(bench, move, search.standing),
    minutes: search.minutes + minutes,
    liveMinutes: search.liveMinutes + (move.tier > 1 ? move.minutes : 0),
  };
}

/**
 * Cost of repairing in the order of chance ÷ cost until the hidden fault is cured, another machine in the end. Averaged
 * over whether the repair takes, so that luck does not hide the difference between two ways.
 */
export function repair({ model, groups }: Bench, hidden: Hidden, { field, now }: Search): number {
  const plan = trialPlan(trialsOf(field, now), GIVE_UP);
  const needed = new Set(hidden.truth.roots.map((root) => model.hypotheses.faults[root]?.fix.repair ?? ""));
  const done = new Set<string>();
  let going = 1;
  let spent = 0;
  for (const trial of plan.made) {
    spent += going * trial.cost;
    const wasDone = [...needed].every((one) => done.has(one));
    for (const one of groups.repairs[trial.group] ?? []) done.add(one);
    if (!wasDone && [...needed].every((one) => done.has(one))) going *= 1 - trial.cures / trial.chance;
  }
  return spent + going * GIVE_UP;
}

/** The root named first, and whether it is right: itself, or one that is cured by the same repair. */
export function named(
  { model }: Bench,
  hidden: Hidden,
  { belief }: Search,
): { exact: boolean; cure: boolean; chance: number } {
  const byRoot = new Float64Array(model.hypotheses.faults.length);
  model.hypotheses.all.forEach(({ roots }, index) => {
    for (const root of roots) byRoot[root] = (byRoot[root] ?? 0) + (belief[index] ?? 0);
  });
  const first = byRoot.indexOf(Math.max(...byRoot));
  const repairOf = (fault: number) => model.hypotheses.faults[fault]?.fix.repair;
  return {
    exact: hidden.truth.roots.includes(first),
    cure: hidden.truth.roots.some((root) => repairOf(root) === repairOf(first)),
    chance: byRoot[first] ?? 0,
  };
}
