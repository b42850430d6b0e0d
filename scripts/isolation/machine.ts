// A model of one kind of machine, hidden faults drawn from its own prior, and a search on it: what the first report is made with.

import { type MachineState, machineStateAfter, stateChangeMinutes } from "@/core/cost/state-change-cost";
import { type Trial, trialPlan } from "@/core/cost/trial-cost";
import { buildHypotheses, faultsFor, type Hypothesis } from "@/core/isolation/hypotheses";
import { movesFor, pathOf } from "@/core/isolation/machine-model";
import { type Model, modelFrom } from "@/core/isolation/model";
import { buildOutcomeTable } from "@/core/isolation/outcome-table";
import { type RepairGroups, repairGroups } from "@/core/isolation/repair-groups";
import { type MachineRepair, repairsOn } from "@/core/knowledge/kind-costs";
import { stationsOf } from "@/core/knowledge/machine-kind";
import { type Parameters, parametersOf } from "@/core/knowledge/parameters";
import type { Access, Knowledge, Move } from "@/core/knowledge/types";

export const RATE = 2800;
export const MINUTE = RATE / 60;
export const GIVE_UP = 20_000;

/** What a search works on: the model that gives the advice, and what time and ways cost. */
export interface Bench {
  readonly family: string;
  readonly model: Model;
  /** Every set that may be wrong, the rarest too: the program leaves those out, machines do not. */
  readonly every: readonly Hypothesis[];
  readonly groups: RepairGroups;
  readonly knowledge: {
    readonly access: readonly Access[];
    readonly repairs: readonly MachineRepair[];
    readonly stations: Knowledge["stations"];
    readonly inseparable: Knowledge["inseparable"];
  };
  readonly parameters: Parameters;
}

export function benchFor(family: string, given: Knowledge): Bench {
  // Another motor at the price of its kind, as the program reckons.
  const knowledge = { ...given, repairs: repairsOn({ family }, given) };
  const parameters = parametersOf(knowledge.parameters);
  const stations = stationsOf({ family }, knowledge);
  const faults = faultsFor(knowledge.faults, family, stations);
  // Signs are ticked at the door, never asked one by one.
  const moves = movesFor(knowledge.moves, family, stations).filter(({ isSign }) => isSign !== true);
  const table = buildOutcomeTable(faults, moves, pathOf(family, knowledge), parameters);
  const hypotheses = buildHypotheses(faults, family, 2, parameters, parameters["rarest-set"]);
  const model = modelFrom(hypotheses, moves, table, parameters);
  return {
    family,
    model,
    every: buildHypotheses(faults, family, 2, parameters).all,
    groups: repairGroups(model, knowledge.repairs, {}, MINUTE, parameters),
    knowledge,
    parameters,
  };
}

/** One machine with a hidden fault, and the answers it would give. */
export interface Hidden {
  readonly roots: readonly string[];
  /** The same answer whoever asks: each move's draw is its own. */
  answer(moveId: string): string;
}

function hash(seed: number, move: number): number {
  let x = (seed ^ Math.imul(move + 1, 0x9e3779b1)) >>> 0;
  x = Math.imul(x ^ (x >>> 16), 0x85ebca6b) >>> 0;
  x = Math.imul(x ^ (x >>> 13), 0xc2b2ae35) >>> 0;
  return ((x ^ (x >>> 16)) >>> 0) / 4294967296;
}

/** The set of faults that a seed stands for, drawn from the prior. */
function drawn(all: readonly Hypothesis[], share: number): Hypothesis {
  let left = share;
  const found =
    all.find(({ prior }) => {
      left -= prior;
      return left <= 0;
    }) ?? all[0];
  if (!found) throw new Error("no hypotheses");
  return found;
}

export function hide({ model, every }: Bench, seed: number): Hidden {
  const truth = drawn(every, hash(seed, -1));
  const state = model.table.stateOf(truth.faults);
  return {
    roots: truth.roots.map((root) => model.hypotheses.faults[root]?.id ?? ""),
    answer: (moveId) => {
      const move = model.moves.findIndex(({ id }) => id === moveId);
      let rest = hash(seed, move);
      const outcomes = model.moves[move]?.outcomes ?? [];
      const found = outcomes.find((_, outcome) => {
        rest -= model.table.chance(move, outcome, state, "cold");
        return rest <= 0;
      });
      return found ?? outcomes.at(-1) ?? "";
    },
  };
}

/** Where a search stands. */
export interface Search {
  /** Every answer so far, as one word: two searches with the same path have heard the same. */
  readonly path: string;
  readonly belief: Float64Array;
  readonly asked: ReadonlySet<number>;
  readonly machineState: MachineState;
  readonly spent: number;
  readonly moves: number;
  readonly minutes: number;
  readonly liveMinutes: number;
}

const START: MachineState = { isDead: true, isDrained: false, opened: [] };

/** Belief after an answer; an answer that says nothing leaves it as it was. */
function heard({ model }: Bench, belief: Float64Array, move: number, outcomeId: string): Float64Array {
  const outcome = model.moves[move]?.outcomes.indexOf(outcomeId) ?? -1;
  if (outcome === -1) return belief;
  const next = belief.map(
    (one, index) => one * model.table.chance(move, outcome, model.states[index] ?? 0, "cold"),
  );
  const sum = next.reduce((total, one) => total + one, 0);
  if (!(sum > 0)) throw new Error(`nothing explains ${model.moves[move]?.id} = ${outcomeId}`);
  return next.map((one) => one / sum);
}

function tell(bench: Bench, hidden: Hidden, search: Search, index: number): Search {
  const move = bench.model.moves[index];
  if (!move) throw new Error(`no move ${index}`);
  const outcomeId = hidden.answer(move.id);
  return {
    ...search,
    path: `${search.path} ${index}:${outcomeId}`,
    belief: heard(bench, search.belief, index, outcomeId),
    asked: new Set([...search.asked, index]),
  };
}

/** Every search begins with what the owner says, which costs nothing here: it was said at the counter. */
export function begin(bench: Bench, hidden: Hidden): Search {
  const { all } = bench.model.hypotheses;
  const sum = all.reduce((total, { prior }) => total + prior, 0);
  const start: Search = {
    path: "",
    belief: Float64Array.from(all, ({ prior }) => prior / sum),
    asked: new Set(),
    machineState: START,
    spent: 0,
    moves: 0,
    minutes: 0,
    liveMinutes: 0,
  };
  return tell(
    bench,
    hidden,
    start,
    bench.model.moves.findIndex(({ id }) => id === "owner-report"),
  );
}

export function priceOf({ knowledge, parameters }: Bench, move: Move, machineState: MachineState): number {
  const way = stateChangeMinutes(move, machineState, knowledge.access, parameters);
  return (move.minutes + way + move.hazardMinutes) * MINUTE;
}

export function make(bench: Bench, hidden: Hidden, search: Search, index: number): Search {
  const move = bench.model.moves[index];
  if (!move) throw new Error(`no move ${index}`);
  const way = stateChangeMinutes(move, search.machineState, bench.knowledge.access, bench.parameters);
  return {
    ...tell(bench, hidden, search, index),
    machineState: machineStateAfter(move, search.machineState),
    spent: search.spent + priceOf(bench, move, search.machineState),
    moves: search.moves + 1,
    minutes: search.minutes + move.minutes + way,
    liveMinutes: search.liveMinutes + (move.tier > 1 ? move.minutes : 0),
  };
}

/** A repair that could be tried, by its group. */
export interface GroupChance extends Trial {
  readonly group: number;
  readonly chance: number;
}

/** The repairs that could be tried, from all hypotheses. */
export function trialsIn({ groups }: Bench, belief: Float64Array): GroupChance[] {
  const count = groups.repairs.length;
  const weight = new Float64Array(count);
  const cost = new Float64Array(count);
  const cures = new Float64Array(count);
  for (let index = 0; index < belief.length; index += 1) {
    const own = belief[index] ?? 0;
    const group = groups.groupOf[index] ?? 0;
    weight[group] = (weight[group] ?? 0) + own;
    cost[group] = (cost[group] ?? 0) + own * (groups.costOf[index] ?? 0);
    cures[group] = (cures[group] ?? 0) + own * (groups.successOf[index] ?? 0);
  }
  const trials: GroupChance[] = [];
  weight.forEach((chance, group) => {
    if (chance > 1e-4)
      trials.push({ group, chance, cost: (cost[group] ?? 0) / chance, cures: cures[group] ?? 0 });
  });
  return trials;
}

/**
 * Cost of repairing in the order of chance ÷ cost until the hidden fault is cured, another machine in the end. Averaged
 * over whether the repair takes, so that luck does not hide the difference between two ways.
 */
export function repair(bench: Bench, hidden: Hidden, { belief }: Search): number {
  const { model, groups } = bench;
  const plan = trialPlan(trialsIn(bench, belief), GIVE_UP);
  const needed = new Set(
    hidden.roots.map((root) => model.hypotheses.faults.find(({ id }) => id === root)?.fix.repair ?? ""),
  );
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
  { model, knowledge }: Bench,
  hidden: Hidden,
  { belief }: Search,
): { readonly first: string; readonly exact: boolean; readonly cure: boolean; readonly chance: number } {
  const { faults, all } = model.hypotheses;
  // Faults that nothing tells apart are one suspect on the screen, and one here.
  const groupOf = (id: string | undefined): string =>
    knowledge.inseparable.find((group) => group.faults.includes(id ?? ""))?.faults[0] ?? id ?? "";
  const numberOf = new Map(faults.map(({ id }, index) => [id, index]));
  const rowOf = faults.map(({ id }, index) => numberOf.get(groupOf(id)) ?? index);
  const byRoot = new Float64Array(faults.length);
  all.forEach(({ roots }, index) => {
    for (const row of new Set(roots.map((root) => rowOf[root] ?? root)))
      byRoot[row] = (byRoot[row] ?? 0) + (belief[index] ?? 0);
  });
  const at = byRoot.indexOf(Math.max(...byRoot));
  const first = faults[at];
  const repairOf = (id: string): string | undefined => faults.find((fault) => fault.id === id)?.fix.repair;
  return {
    first: first?.id ?? "",
    exact: hidden.roots.some((root) => groupOf(root) === groupOf(first?.id)),
    cure: hidden.roots.some((root) => repairOf(root) === first?.fix.repair),
    chance: byRoot[at] ?? 0,
  };
}
