import { trialCostOf } from "../cost/trial-cost";
import { type Field, LEAST_CHANCE, type Weights } from "./field";

/** What a move's answers come to. */
export interface Answered {
  readonly chance: Float64Array;
  /** Cost of trying repairs after each answer, weighed by its chance. */
  readonly tryAfter: Float64Array;
}

const emptyCells = (cells: number) => ({
  places: cells,
  weight: new Float64Array(cells),
  cost: new Float64Array(cells),
  cures: new Float64Array(cells),
});

const emptyGroups = (groups: number) => ({
  places: groups,
  cost: new Float64Array(groups),
  cures: new Float64Array(groups),
  worth: new Float64Array(groups),
  order: new Int32Array(groups),
});

/** Room to work in, kept from call to call: some thousand are made for each answer. */
const room = { cells: emptyCells(0), groups: emptyGroups(0) };

/** Sums by cell of a move: one pass over the field, however many answers the move has. */
function byCell({ size, cells }: Field, now: Weights, move: number): ReturnType<typeof emptyCells> {
  const of = cells[move]?.of ?? new Int32Array();
  const count = cells[move]?.at.length ?? 0;
  if (room.cells.places < count) room.cells = emptyCells(count);
  const { weight, cost, cures } = room.cells;
  weight.fill(0, 0, count);
  cost.fill(0, 0, count);
  cures.fill(0, 0, count);
  for (let place = 0; place < size; place += 1) {
    const cell = of[place] ?? 0;
    weight[cell] = (weight[cell] ?? 0) + (now.of[place] ?? 0);
    cost[cell] = (cost[cell] ?? 0) + (now.cost[place] ?? 0);
    cures[cell] = (cures[cell] ?? 0) + (now.cures[place] ?? 0);
  }
  return room.cells;
}

/** Each answer's chance, and what trying repairs after it costs. */
export function answersOf(field: Field, now: Weights, move: number, giveUp: number): Answered {
  const rows = field.rows[move] ?? [];
  const outcomes = rows[0]?.length ?? 0;
  const chance = new Float64Array(outcomes);
  const tryAfter = new Float64Array(outcomes);
  const cells = field.cells[move];
  if (!cells) return { chance, tryAfter };
  const { at, from } = cells;
  const { groups } = field;
  const { weight, cost, cures } = byCell(field, now, move);
  if (room.groups.places < groups) room.groups = emptyGroups(groups);
  const trial = room.groups;
  const shares = new Float64Array(rows.length);
  const ofCase = new Float64Array(rows.length);
  for (let cell = 0; cell < at.length; cell += 1) {
    const own = at[cell] ?? 0;
    ofCase[own] = (ofCase[own] ?? 0) + (weight[cell] ?? 0);
  }
  for (let outcome = 0; outcome < outcomes; outcome += 1) {
    let total = 0;
    for (let own = 0; own < rows.length; own += 1) {
      shares[own] = rows[own]?.[outcome] ?? 0;
      total += (shares[own] ?? 0) * (ofCase[own] ?? 0);
    }
    if (total <= 0) continue;
    const least = LEAST_CHANCE * total;
    let count = 0;
    let cell = 0;
    for (let group = 0; group < groups; group += 1) {
      const end = from[group + 1] ?? 0;
      let own = 0;
      let spent = 0;
      let cured = 0;
      for (; cell < end; cell += 1) {
        const p = shares[at[cell] ?? 0] ?? 0;
        own += p * (weight[cell] ?? 0);
        spent += p * (cost[cell] ?? 0);
        cured += p * (cures[cell] ?? 0);
      }
      if (own <= least) continue;
      trial.cost[count] = spent / own;
      trial.cures[count] = cured / total;
      count += 1;
    }
    chance[outcome] = total / now.total;
    tryAfter[outcome] =
      (total / now.total) * trialCostOf(trial.cost, trial.cures, trial.worth, trial.order, count, giveUp);
  }
  return { chance, tryAfter };
}

/** One repair's part in the doubt, bits. */
const share = (own: number, total: number): number => -(own / total) * Math.log2(own / total);

/** Doubt about the repair as things stand, bits; repairs that hardly count are left out, here as after an answer. */
export function bitsNow(field: Field, { of, total }: Weights): number {
  const weight = new Float64Array(field.groups);
  for (let place = 0; place < field.size; place += 1) {
    const group = field.group[place] ?? 0;
    weight[group] = (weight[group] ?? 0) + (of[place] ?? 0);
  }
  return weight.reduce((bits, own) => (own > LEAST_CHANCE * total ? bits + share(own, total) : bits), 0);
}

/** Doubt about the repair that is left after a move on average, bits. */
export function bitsAfter(field: Field, now: Weights, move: number): number {
  const rows = field.rows[move] ?? [];
  const { at, from } = field.cells[move] ?? { at: [], from: [] };
  const { weight } = byCell(field, now, move);
  let bits = 0;
  for (let outcome = 0; outcome < (rows[0]?.length ?? 0); outcome += 1) {
    const own = new Float64Array(field.groups);
    let total = 0;
    for (let group = 0; group < field.groups; group += 1) {
      for (let cell = from[group] ?? 0; cell < (from[group + 1] ?? 0); cell += 1)
        own[group] = (own[group] ?? 0) + (rows[at[cell] ?? 0]?.[outcome] ?? 0) * (weight[cell] ?? 0);
      total += own[group] ?? 0;
    }
    for (const one of own) if (one > LEAST_CHANCE * total) bits += (total / now.total) * share(one, total);
  }
  return bits;
}
