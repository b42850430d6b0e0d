import { type Trial, trialCostOf } from "../cost/trial-cost";
import type { Model } from "./belief";
import type { Circumstance } from "./power-path";
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

/** Numbers the values that occur from nought up, in the order they occur. */
function compact(values: Int32Array): { readonly of: Int32Array; readonly values: readonly number[] } {
  const numbers = new Map<number, number>();
  const of = values.map((value) => {
    const number = numbers.get(value) ?? numbers.size;
    numbers.set(value, number);
    return number;
  });
  return { of, values: [...numbers.keys()] };
}

export function fieldOf(
  model: Model,
  belief: Float64Array,
  states: Int32Array,
  groups: RepairGroups,
  circumstance: Circumstance,
): { readonly field: Field; readonly now: Weights } {
  const heavy: number[] = [];
  for (let index = 0; index < belief.length; index += 1)
    if ((belief[index] ?? 0) >= LEAST_WEIGHT) heavy.push(index);
  const active = Int32Array.from(heavy);
  const pick = (from: Float64Array): Float64Array => Float64Array.from(active, (index) => from[index] ?? 0);
  const of = pick(belief);
  const group = compact(active.map((index) => groups.groupOf[index] ?? 0));
  const cases = model.moves.map((_, move) =>
    compact(active.map((index) => model.table.caseOf(move, states[index] ?? 0, circumstance))),
  );
  return {
    field: {
      size: active.length,
      hypothesis: active,
      group: group.of,
      groupIds: group.values,
      groups: group.values.length,
      cost: pick(groups.costOf),
      minutes: pick(groups.minutesOf),
      success: pick(groups.successOf),
      cases: cases.map((one) => one.of),
      rows: cases.map((one, move) => {
        const all = model.table.caseRows(move);
        return one.values.map((value) => all[value] ?? new Float64Array());
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

/** Sums by case and group: one pass over the field, however many answers the move has. */
interface ByCase {
  readonly weight: Float64Array;
  readonly cost: Float64Array;
  readonly cures: Float64Array;
}

function byCase(field: Field, { of }: Weights, move: number): ByCase {
  const { group, groups, size, cost, success } = field;
  const cases = field.cases[move];
  const cells = groups * (field.rows[move]?.length ?? 1);
  const sums = {
    weight: new Float64Array(cells),
    cost: new Float64Array(cells),
    cures: new Float64Array(cells),
  };
  for (let place = 0; place < size; place += 1) {
    const weight = of[place] ?? 0;
    if (weight === 0) continue;
    const cell = (cases?.[place] ?? 0) * groups + (group[place] ?? 0);
    sums.weight[cell] = (sums.weight[cell] ?? 0) + weight;
    sums.cost[cell] = (sums.cost[cell] ?? 0) + weight * (cost[place] ?? 0);
    sums.cures[cell] = (sums.cures[cell] ?? 0) + weight * (success[place] ?? 0);
  }
  return sums;
}

/** Each answer's chance, and the cost of trying repairs after it, both weighed by the whole: they need no division. */
export function answersOf(
  field: Field,
  now: Weights,
  move: number,
  giveUp: number,
): { readonly chance: Float64Array; readonly tryAfter: Float64Array } {
  const rows = field.rows[move] ?? [];
  const outcomes = rows[0]?.length ?? 0;
  const sums = byCase(field, now, move);
  const chance = new Float64Array(outcomes);
  const tryAfter = new Float64Array(outcomes);
  const { groups } = field;
  const weight = new Float64Array(groups);
  const cost = new Float64Array(groups);
  const cures = new Float64Array(groups);
  const trialCosts = new Float64Array(groups);
  const trialCures = new Float64Array(groups);
  const worth = new Float64Array(groups);
  const order = new Int32Array(groups);
  for (let outcome = 0; outcome < outcomes; outcome += 1) {
    weight.fill(0);
    cost.fill(0);
    cures.fill(0);
    for (let index = 0; index < rows.length; index += 1) {
      const p = rows[index]?.[outcome] ?? 0;
      for (let group = 0, cell = index * groups; group < groups; group += 1, cell += 1) {
        const own = sums.weight[cell] ?? 0;
        if (own === 0) continue;
        weight[group] = (weight[group] ?? 0) + p * own;
        cost[group] = (cost[group] ?? 0) + p * (sums.cost[cell] ?? 0);
        cures[group] = (cures[group] ?? 0) + p * (sums.cures[cell] ?? 0);
      }
    }
    const total = weight.reduce((sum, one) => sum + one, 0);
    let count = 0;
    for (let group = 0; group < groups; group += 1) {
      const own = weight[group] ?? 0;
      if (own <= LEAST_CHANCE * total) continue;
      trialCosts[count] = (cost[group] ?? 0) / own;
      trialCures[count] = (cures[group] ?? 0) / total;
      count += 1;
    }
    chance[outcome] = total / now.total;
    tryAfter[outcome] =
      total > 0 ? (total / now.total) * trialCostOf(trialCosts, trialCures, worth, order, count, giveUp) : 0;
  }
  return { chance, tryAfter };
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
