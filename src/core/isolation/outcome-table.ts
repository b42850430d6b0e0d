import { limitOf } from "../knowledge/resolve-limits";
import type { Limits, Move, NumericRow, OutcomeRow, When } from "../knowledge/types";
import { type Circumstance, type MachineState, machineState, type PathKnowledge } from "./power-path";

export interface OutcomeKnowledge extends PathKnowledge {
  readonly moves: readonly Move[];
  readonly outcomes: readonly OutcomeRow[];
  readonly numeric: readonly NumericRow[];
}

interface Case<R> {
  readonly when: When;
  readonly rows: readonly R[];
}

function holds({ condition, is, sign, otherwise }: When, state: MachineState): boolean {
  if (otherwise) return true;
  return sign === undefined
    ? condition !== undefined && state.conditions[condition] === is
    : state.signs.has(sign);
}

/** Rows of one move gathered by case, in the order of the file. */
function casesOf<R extends { readonly moveId: string; readonly when: When }>(
  rows: readonly R[],
  moveId: string,
): Case<R>[] {
  const cases = new Map<string, { when: When; rows: R[] }>();
  for (const row of rows) {
    if (row.moveId !== moveId) continue;
    const key = JSON.stringify(row.when);
    const known = cases.get(key);
    if (known) known.rows.push(row);
    else cases.set(key, { when: row.when, rows: [row] });
  }
  return [...cases.values()];
}

/** Standard normal distribution function (Abramowitz and Stegun 7.1.26, error below 1.5e-7). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(z) * Math.SQRT1_2);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = 0.5 * poly * Math.exp((-z * z) / 2);
  return z >= 0 ? 1 - tail : tail;
}

/** Least half width of a reading, as a share of it: a perfect meter would make the chance of any value nothing. */
const LEAST_WIDTH = 0.005;

/** Chance that a log-normal quantity lies in the interval that a reading stands for. */
export function chanceOfRatio(
  row: Pick<NumericRow, "median" | "spread">,
  value: number,
  halfWidth: number,
): number {
  const half = Math.max(halfWidth, LEAST_WIDTH * value, 1e-9);
  const at = (ratio: number): number =>
    ratio <= 0 ? 0 : normalBelow(Math.log(ratio / row.median) / row.spread);
  return Math.max(0, at(value + half) - at(value - half));
}

/**
 * The stored table: which case of a move holds in a set of faults, found once, and the chances of the answers in each
 * case. Few cases stand for many sets of faults, which is what keeps the look-ahead quick.
 */
export interface OutcomeTable {
  /** Case of a move that holds in a set of faults; `state` is the set's number. */
  caseOf(move: number, state: number, circumstance: Circumstance): number;
  /** Chances of a move's answers in each of its cases. */
  caseRows(move: number): readonly Float64Array[];
  /** Chance of one answer. */
  chance(move: number, outcome: number, state: number, circumstance: Circumstance): number;
  /** Likelihood of a number read, leak included. */
  ratioChance(
    move: number,
    ratio: { value: number; halfWidth: number },
    state: number,
    circumstance: Circumstance,
  ): number | undefined;
  /** Number of a set of faults, given once and for all. */
  stateOf(faults: readonly number[]): number;
  faultsOf(state: number): readonly number[];
  size(): number;
}

interface MoveCases {
  readonly move: Move;
  readonly outcomes: readonly Case<OutcomeRow>[];
  readonly numeric: readonly Case<NumericRow>[];
}

/** Chances of a move's answers in each case, and in none of them at the end: every answer at least the leak, sum one. */
function rowsByCase({ move, outcomes }: MoveCases, leak: number): Float64Array[] {
  const rowOf = (rows: readonly OutcomeRow[]): Float64Array => {
    const raw = move.outcomes.map((id) =>
      Math.max(leak, rows.find(({ outcomeId }) => outcomeId === id)?.p ?? 0),
    );
    const sum = raw.reduce((acc, one) => acc + one, 0);
    return Float64Array.from(raw, (one) => one / sum);
  };
  return [...outcomes.map(({ rows }) => rowOf(rows)), rowOf([])];
}

/** Builds the table as it is asked for: a set of faults is composed along the power path once a circumstance. */
export function buildOutcomeTable(
  faultIds: readonly string[],
  moves: readonly Move[],
  knowledge: OutcomeKnowledge,
  limits: Limits,
): OutcomeTable {
  const leak = limitOf(limits, "outcome-leak").value;
  const cases: MoveCases[] = moves.map((move) => ({
    move,
    outcomes: casesOf(knowledge.outcomes, move.id),
    numeric: casesOf(knowledge.numeric, move.id),
  }));
  const numbers = new Map<string, number>();
  const sets: (readonly number[])[] = [];
  const composed: Record<Circumstance, MachineState[]> = { cold: [], hot: [], loaded: [] };
  const rows = cases.map((own) => rowsByCase(own, leak));
  const found: Record<Circumstance, number[][]> = { cold: [], hot: [], loaded: [] };
  const compose = (state: number, circumstance: Circumstance): MachineState => {
    const made =
      composed[circumstance][state] ??
      machineState(
        (sets[state] ?? []).map((index) => faultIds[index] ?? ""),
        circumstance,
        knowledge,
      );
    composed[circumstance][state] = made;
    return made;
  };
  const caseOf = (move: number, state: number, circumstance: Circumstance): number => {
    const ofMove = found[circumstance][move] ?? [];
    found[circumstance][move] = ofMove;
    const known = ofMove[state];
    if (known !== undefined) return known;
    const own = cases[move]?.outcomes ?? [];
    const index = own.findIndex(({ when }) => holds(when, compose(state, circumstance)));
    ofMove[state] = index === -1 ? own.length : index;
    return ofMove[state];
  };
  return {
    caseOf,
    caseRows: (move) => rows[move] ?? [],
    chance: (move, outcome, state, circumstance) =>
      rows[move]?.[caseOf(move, state, circumstance)]?.[outcome] ?? 0,
    ratioChance: (move, { value, halfWidth }, state, circumstance) => {
      const own = cases[move];
      if (!own || own.numeric.length === 0) return undefined;
      const numeric = own.numeric.find(({ when }) => holds(when, compose(state, circumstance)))?.rows[0];
      return Math.max(leak * LEAST_WIDTH, numeric ? chanceOfRatio(numeric, value, halfWidth) : 0);
    },
    stateOf: (faults) => {
      const key = faults.join(",");
      const known = numbers.get(key);
      if (known !== undefined) return known;
      numbers.set(key, sets.length);
      sets.push(faults);
      return sets.length - 1;
    },
    faultsOf: (state) => sets[state] ?? [],
    size: () => sets.length,
  };
}
