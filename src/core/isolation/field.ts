import { type Trial, trialCostOf } from "../cost/trial-cost";
import type { Circumstance } from "../knowledge/circumstances";
import type { Model } from "./model";
import type { RepairGroups } from "./repair-groups";

/**
 * The hypotheses that still count, laid out for the look-ahead: what each costs to cure, which repair group it is in and
 * which case of each move holds under it.
 */
export interface Field {
  readonly size: number;
  /** Repair group of each place, numbered within the field; `groupIds` are their numbers in the model. */
  readonly group: Int32Array;
  readonly groupIds: readonly number[];
  readonly groups: number;
  readonly cost: Float64Array;
  readonly minutes: Float64Array;
  readonly success: Float64Array;
  /** Hypothesis of each place, by number in the model. */
  readonly hypothesis: Int32Array;
  /** By move: case of each place. */
  readonly cases: readonly Int32Array[];
  readonly rows: readonly (readonly Float64Array[])[];
}

/** Weights over the places of a field, and their sum. */
export interface Weights {
  readonly of: Float64Array;
  readonly total: number;
}

/** A repair that could be tried, with the chance that its group is what is wrong. */
export interface GroupTrial extends Trial {
  readonly group: number;
  readonly chance: number;
  readonly minutes: number;
}

/** Hypotheses lighter than this share of the whole change no ranking: they are left out of the look-ahead only. */
const LEAST_WEIGHT = 1e-5;
/** Repairs with less chance than this are left out of the order of trials. */
const LEAST_CHANCE = 1e-4;

/** Numbers the values that occur from zero up, in the order they occur. */
function compact(values: Int32Array): { readonly of: Int32Array; readonly values: readonly number[] } {
  const numbers: number[] = [];
  const occurring: number[] = [];
  const of = new Int32Array(values.length);
  for (let place = 0; place < values.length; place += 1) {
    const value = values[place] ?? 0;
    let number = numbers[value];
    if (number === undefined) {
      number = occurring.length;
      numbers[value] = number;
      occurring.push(value);
    }
    of[place] = number;
  }
  return { of, values: occurring };
}

/** Signs are ticked at the door: nothing looks ahead to them. */
const NEVER_ASKED = new Int32Array();

/** By model and circumstance, the case of every move under every hypothesis. */
const keptCases = new WeakMap<Model, Map<Circumstance, readonly Int32Array[]>>();

/** Case of every move under every hypothesis; once a model and circumstance. */
function casesOf(model: Model, circumstance: Circumstance): readonly Int32Array[] {
  const make = (): readonly Int32Array[] =>
    model.moves.map(({ isSign }, move) =>
      isSign === true
        ? NEVER_ASKED
        : model.states.map((state) => model.table.caseOf(move, state, circumstance)),
    );
  const kept = keptCases.get(model) ?? new Map<Circumstance, readonly Int32Array[]>();
  keptCases.set(model, kept);
  const known = kept.get(circumstance) ?? make();
  kept.set(circumstance, known);
  return known;
}

function picked(from: Float64Array, active: Int32Array): Float64Array {
  const of = new Float64Array(active.length);
  for (let place = 0; place < active.length; place += 1) of[place] = from[active[place] ?? 0] ?? 0;
  return of;
}

function pickedWhole(from: Int32Array, active: Int32Array): Int32Array {
  const of = new Int32Array(active.length);
  for (let place = 0; place < active.length; place += 1) of[place] = from[active[place] ?? 0] ?? 0;
  return of;
}

export function fieldOf(
  model: Model,
  belief: Float64Array,
  groups: RepairGroups,
  circumstance: Circumstance,
): { readonly field: Field; readonly now: Weights } {
  const heavy: number[] = [];
  for (let index = 0; index < belief.length; index += 1)
    if ((belief[index] ?? 0) >= LEAST_WEIGHT) heavy.push(index);
  const active = Int32Array.from(heavy);
  const of = picked(belief, active);
  const group = compact(pickedWhole(groups.groupOf, active));
  const all = casesOf(model, circumstance);
  const cases = all.map((ofMove) =>
    ofMove === NEVER_ASKED ? { of: NEVER_ASKED, values: [] } : compact(pickedWhole(ofMove, active)),
  );
  return {
    field: {
      size: active.length,
      hypothesis: active,
      group: group.of,
      groupIds: group.values,
      groups: group.values.length,
      cost: picked(groups.costOf, active),
      minutes: picked(groups.minutesOf, active),
      success: picked(groups.successOf, active),
      cases: cases.map((one) => one.of),
      rows: cases.map((one, move) => {
        const rows = model.table.caseRows(move);
        return one.values.map((value) => rows[value] ?? new Float64Array());
      }),
    },
    now: { of, total: of.reduce((sum, one) => sum + one, 0) },
  };
}

/** Weights after an answer. */
export function after(field: Field, { of }: Weights, move: number, outcome: number): Weights {
  const cases = field.cases[move];
  const rows = field.rows[move];
  const next = new Float64Array(field.size);
  let total = 0;
  for (let place = 0; place < field.size; place += 1) {
    const weight = (of[place] ?? 0) * (rows?.[cases?.[place] ?? 0]?.[outcome] ?? 0);
    next[place] = weight;
    total += weight;
  }
  return { of: next, total };
}

/** Sums by case and group in the cells that hold anything: one pass over the field, however many answers the move has. */
interface ByCase {
  readonly count: number;
  /** Case and group of each cell. */
  readonly at: Int32Array;
  readonly group: Int32Array;
  readonly weight: Float64Array;
  readonly cost: Float64Array;
  readonly cures: Float64Array;
}

/** Room to work in, kept from call to call: some hundred are made for each answer. */
const room = { cells: new Int32Array(0), places: 0, sums: emptySums(0), groups: emptyGroups(0) };

function emptySums(places: number): Omit<ByCase, "count"> {
  return {
    at: new Int32Array(places),
    group: new Int32Array(places),
    weight: new Float64Array(places),
    cost: new Float64Array(places),
    cures: new Float64Array(places),
  };
}

function emptyGroups(groups: number) {
  return {
    count: groups,
    weight: new Float64Array(groups),
    cost: new Float64Array(groups),
    cures: new Float64Array(groups),
    trialCost: new Float64Array(groups),
    trialCures: new Float64Array(groups),
    worth: new Float64Array(groups),
    order: new Int32Array(groups),
  };
}

function byCase(field: Field, { of }: Weights, move: number): ByCase {
  const { group, groups, size, cost, success } = field;
  const cases = field.cases[move] ?? new Int32Array();
  const cells = groups * (field.rows[move]?.length ?? 1);
  if (room.cells.length < cells) room.cells = new Int32Array(cells);
  if (room.places < size) {
    room.places = size;
    room.sums = emptySums(size);
  }
  // Number of each cell among those that hold anything, from one; zero while it is empty.
  const { cells: numbers, sums } = room;
  let count = 0;
  for (let place = 0; place < size; place += 1) {
    const weight = of[place] ?? 0;
    if (weight === 0) continue;
    const cell = (cases[place] ?? 0) * groups + (group[place] ?? 0);
    let number = (numbers[cell] ?? 0) - 1;
    if (number < 0) {
      number = count;
      count += 1;
      numbers[cell] = count;
      sums.at[number] = cases[place] ?? 0;
      sums.group[number] = group[place] ?? 0;
      sums.weight[number] = 0;
      sums.cost[number] = 0;
      sums.cures[number] = 0;
    }
    sums.weight[number] = (sums.weight[number] ?? 0) + weight;
    sums.cost[number] = (sums.cost[number] ?? 0) + weight * (cost[place] ?? 0);
    sums.cures[number] = (sums.cures[number] ?? 0) + weight * (success[place] ?? 0);
  }
  for (let number = 0; number < count; number += 1)
    numbers[(sums.at[number] ?? 0) * groups + (sums.group[number] ?? 0)] = 0;
  return { ...sums, count };
}

/** What a move's answers come to. */
export interface Answered {
  readonly chance: Float64Array;
  /** Cost of trying repairs after each answer, weighed by its chance. */
  readonly tryAfter: Float64Array;
  /** Doubt about the repair that is left on average, bits. */
  readonly bitsLeft: number;
}

/** Doubt about the repair as things stand, bits; repairs that hardly count are left out, here as after an answer. */
export function bitsNow(field: Field, { of, total }: Weights): number {
  const weight = new Float64Array(field.groups);
  for (let place = 0; place < field.size; place += 1) {
    const group = field.group[place] ?? 0;
    weight[group] = (weight[group] ?? 0) + (of[place] ?? 0);
  }
  return weight.reduce((bits, own) => (own > LEAST_CHANCE * total ? bits - share(own, total) : bits), 0);
}

/** One repair's part in the doubt, bits: negative. */
function share(own: number, total: number): number {
  return (own / total) * Math.log2(own / total);
}

/** Each answer's chance, and what trying repairs after it costs. */
export function answersOf(field: Field, now: Weights, move: number, giveUp: number): Answered {
  const rows = field.rows[move] ?? [];
  const outcomes = rows[0]?.length ?? 0;
  const sums = byCase(field, now, move);
  const chance = new Float64Array(outcomes);
  const tryAfter = new Float64Array(outcomes);
  const { groups } = field;
  if (room.groups.count < groups) room.groups = emptyGroups(groups);
  const { weight, cost, cures, trialCost, trialCures, worth, order } = room.groups;
  const shares = new Float64Array(rows.length);
  let bitsLeft = 0;
  for (let outcome = 0; outcome < outcomes; outcome += 1) {
    weight.fill(0, 0, groups);
    cost.fill(0, 0, groups);
    cures.fill(0, 0, groups);
    let total = 0;
    for (let at = 0; at < rows.length; at += 1) shares[at] = rows[at]?.[outcome] ?? 0;
    for (let number = 0; number < sums.count; number += 1) {
      const p = shares[sums.at[number] ?? 0] ?? 0;
      const group = sums.group[number] ?? 0;
      const own = p * (sums.weight[number] ?? 0);
      total += own;
      weight[group] = (weight[group] ?? 0) + own;
      cost[group] = (cost[group] ?? 0) + p * (sums.cost[number] ?? 0);
      cures[group] = (cures[group] ?? 0) + p * (sums.cures[number] ?? 0);
    }
    let count = 0;
    for (let group = 0; group < groups; group += 1) {
      const own = weight[group] ?? 0;
      if (own <= LEAST_CHANCE * total) continue;
      trialCost[count] = (cost[group] ?? 0) / own;
      trialCures[count] = (cures[group] ?? 0) / total;
      bitsLeft -= (total / now.total) * share(own, total);
      count += 1;
    }
    chance[outcome] = total / now.total;
    tryAfter[outcome] =
      total > 0 ? (total / now.total) * trialCostOf(trialCost, trialCures, worth, order, count, giveUp) : 0;
  }
  return { chance, tryAfter, bitsLeft };
}

/** The repairs that could be tried under these weights. */
export function trialsOf(field: Field, { of, total }: Weights): GroupTrial[] {
  const sums = Array.from({ length: field.groups }, () => ({ weight: 0, cost: 0, cures: 0, minutes: 0 }));
  for (let place = 0; place < field.size; place += 1) {
    const sum = sums[field.group[place] ?? 0];
    const weight = of[place] ?? 0;
    if (!sum) continue;
    sum.weight += weight;
    sum.cost += weight * (field.cost[place] ?? 0);
    sum.cures += weight * (field.success[place] ?? 0);
    sum.minutes += weight * (field.minutes[place] ?? 0);
  }
  return sums.flatMap(({ weight, cost, cures, minutes }, group) =>
    weight > LEAST_CHANCE * total
      ? [
          {
            group: field.groupIds[group] ?? 0,
            chance: weight / total,
            cost: cost / weight,
            minutes: minutes / weight,
            cures: cures / total,
          },
        ]
      : [],
  );
}
