import type { Trial } from "../cost/trial-cost";
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
  readonly cells: readonly Cells[];
  readonly rows: readonly (readonly Float64Array[])[];
}

/** The places of a field by repair group and by case of a move: all that a move's answers can tell apart. */
export interface Cells {
  /** Cell of each place. */
  readonly of: Int32Array;
  /** Case of each cell. */
  readonly at: Int32Array;
  /** First cell of each group, and the number of cells at the end: the cells of a group stand together. */
  readonly from: Int32Array;
}

/** Weights over the places of a field, and their sum. */
export interface Weights {
  readonly of: Float64Array;
  readonly total: number;
  /** Each weight times what its place costs to cure. */
  readonly cost: Float64Array;
  /** Each weight times the chance that its repair cures. */
  readonly cures: Float64Array;
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
export const LEAST_CHANCE = 1e-4;

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
  const make = (): readonly Int32Array[] => {
    const { moves, states, table } = model;
    const of = moves.map(({ isSign }) => (isSign === true ? NEVER_ASKED : new Int32Array(states.length)));
    // A state is asked for all moves at a time: it is composed once and lies at hand.
    for (let place = 0; place < states.length; place += 1)
      for (let move = 0; move < of.length; move += 1) {
        const ofMove = of[move];
        if (ofMove && ofMove !== NEVER_ASKED)
          ofMove[place] = table.caseOf(move, states[place] ?? 0, circumstance);
      }
    return of;
  };
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

const NO_CELLS: Cells = { of: NEVER_ASKED, at: NEVER_ASKED, from: NEVER_ASKED };

function cellsOf(group: Int32Array, groups: number, cases: Int32Array, count: number): Cells {
  const numbers = new Int32Array(groups * count);
  for (let place = 0; place < group.length; place += 1)
    numbers[(group[place] ?? 0) * count + (cases[place] ?? 0)] = 1;
  const from = new Int32Array(groups + 1);
  const at = new Int32Array(Math.min(group.length, numbers.length));
  let cells = 0;
  for (let number = 0; number < numbers.length; number += 1) {
    if (number % count === 0) from[number / count] = cells;
    if (numbers[number] === 0) continue;
    at[cells] = number % count;
    numbers[number] = cells;
    cells += 1;
  }
  from[groups] = cells;
  const of = new Int32Array(group.length);
  for (let place = 0; place < group.length; place += 1)
    of[place] = numbers[(group[place] ?? 0) * count + (cases[place] ?? 0)] ?? 0;
  return { of, at: at.subarray(0, cells), from };
}

/** Weights with what they make of the costs and cures of their places. */
function weighed(
  { size, cost, success }: Pick<Field, "size" | "cost" | "success">,
  of: Float64Array,
): Weights {
  const [costs, cures] = [new Float64Array(size), new Float64Array(size)];
  let total = 0;
  for (let place = 0; place < size; place += 1) {
    const weight = of[place] ?? 0;
    total += weight;
    costs[place] = weight * (cost[place] ?? 0);
    cures[place] = weight * (success[place] ?? 0);
  }
  return { of, total, cost: costs, cures };
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
  const group = compact(pickedWhole(groups.groupOf, active));
  const cases = casesOf(model, circumstance).map((ofMove) =>
    ofMove === NEVER_ASKED ? { of: NEVER_ASKED, values: [] } : compact(pickedWhole(ofMove, active)),
  );
  const field: Field = {
    size: active.length,
    hypothesis: active,
    group: group.of,
    groupIds: group.values,
    groups: group.values.length,
    cost: picked(groups.costOf, active),
    minutes: picked(groups.minutesOf, active),
    success: picked(groups.successOf, active),
    cases: cases.map((one) => one.of),
    cells: cases.map(({ of, values }) =>
      of === NEVER_ASKED ? NO_CELLS : cellsOf(group.of, group.values.length, of, values.length),
    ),
    rows: cases.map((one, move) => {
      const rows = model.table.caseRows(move);
      return one.values.map((value) => rows[value] ?? new Float64Array());
    }),
  };
  return { field, now: weighed(field, picked(belief, active)) };
}

/** Weights after an answer. */
export function after(field: Field, { of }: Weights, move: number, outcome: number): Weights {
  const cases = field.cases[move];
  const shares = Float64Array.from(field.rows[move] ?? [], (row) => row[outcome] ?? 0);
  const next = new Float64Array(field.size);
  for (let place = 0; place < field.size; place += 1)
    next[place] = (of[place] ?? 0) * (shares[cases?.[place] ?? 0] ?? 0);
  return weighed(field, next);
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
