import type { Circumstance } from "../knowledge/circumstances";
import { type ConditionId, isCondition } from "../knowledge/conditions";
import type { ParameterId, Parameters } from "../knowledge/parameters";
import type { Move, MoveCase, NumberCase, When } from "../knowledge/types";
import { type MachineState, machineState, type PathKnowledge } from "./power-path";
import type { Variant } from "./variants";

/** What a case asks of a machine's state: that a column holds a value; a column below zero is always met. */
interface Asked {
  readonly column: number;
  readonly value: number;
}

/** Cases in their order, and what each asks. */
interface Cases<R> {
  readonly rows: readonly R[];
  readonly columns: Int32Array;
  readonly values: Int32Array;
}

/** Whether a case holds in a machine's state. */
export function meets(when: When, state: MachineState): boolean {
  if ("otherwise" in when) return true;
  return "sign" in when ? state.signs.has(when.sign) : state.conditions[when.condition] === when.is;
}

/**
 * Machine states as rows of small numbers: a column a condition or sign that any case asks about. A few million cases are
 * asked when a table is built, so that comparing words would be most of the work.
 */
interface Columns {
  ask(when: When): Asked;
  /** @param sound the row of a machine without faults, from which a state differs in little */
  encode(state: MachineState, sound?: Int16Array): Int16Array;
}

function columnsFrom(rows: readonly { readonly when: When }[]): Columns {
  const columns = new Map<string, number>();
  const values = new Map<string, number>();
  const numberIn = (map: Map<string, number>, key: string): number => {
    const known = map.get(key) ?? map.size;
    map.set(key, known);
    return known;
  };
  const ask = (when: When): Asked => {
    if ("otherwise" in when) return { column: -1, value: 0 };
    if ("sign" in when) return { column: numberIn(columns, `sign ${when.sign}`), value: 1 };
    return { column: numberIn(columns, when.condition), value: numberIn(values, when.is) };
  };
  for (const { when } of rows) ask(when);
  const asked = new Map(
    [...columns].flatMap(([name, column]) => (isCondition(name) ? [[name, column] as const] : [])),
  );
  return {
    ask,
    encode: ({ conditions, signs }, sound) => {
      const row = sound?.slice() ?? new Int16Array(columns.size);
      // What no fault touched is the sound machine's own, and is not among the keys.
      for (const name of sound ? ownConditions(conditions) : asked.keys()) {
        const column = asked.get(name);
        if (column !== undefined) row[column] = values.get(conditions[name]) ?? -1;
      }
      for (const sign of signs) {
        const column = columns.get(`sign ${sign}`);
        if (column !== undefined) row[column] = 1;
      }
      return row;
    },
  };
}

/** The conditions in which a machine is not the sound one, and all that follow from others. */
function ownConditions(conditions: MachineState["conditions"]): readonly ConditionId[] {
  return Object.keys(conditions).filter(isCondition);
}

/** Number of the first case that a state meets, or none. */
function firstMet({ columns, values }: Cases<unknown>, state: Int16Array): number {
  for (let index = 0; index < columns.length; index += 1) {
    const column = columns[index] ?? -1;
    if (column < 0 || state[column] === values[index]) return index;
  }
  return -1;
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
  row: Pick<NumberCase, "median" | "spread">,
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
  readonly outcomes: Cases<MoveCase>;
  readonly numeric: Cases<NumberCase>;
}

/** Chances of a move's answers in each case, and in none of them at the end: every answer at least the leak, sum one. */
function rowsByCase({ move, outcomes }: MoveCases, leak: number): Float64Array[] {
  const rowOf = (chances: MoveCase["chances"]): Float64Array => {
    const raw = move.outcomes.map((id) => Math.max(leak, chances[id]?.p ?? 0));
    const sum = raw.reduce((acc, one) => acc + one, 0);
    return Float64Array.from(raw, (one) => one / sum);
  };
  return [...outcomes.rows.map(({ chances }) => rowOf(chances)), rowOf({})];
}

/** What an answer leaves possible follows from who says it. */
const LEAK_OF: Readonly<Record<Move["kind"], ParameterId>> = {
  question: "leak-told",
  feel: "leak-felt",
  look: "leak-seen",
  trial: "leak-seen",
  reading: "leak-read",
};

/** Least chance of any answer: taking one for another has a chance of its own, however many there are to take it for. */
function leakOf({ kind, outcomes }: Move, parameters: Parameters): number {
  return (2 * parameters[LEAK_OF[kind]]) / outcomes.length;
}

const NONE_HIDDEN: readonly number[] = [];

type CaseOf = (move: number, state: number, circumstance: Circumstance) => number;

/** A powered run in which some faults show only now and then: a mixture of the cases with them and without them. */
function mixtures(
  rows: readonly Float64Array[][],
  plainCase: CaseOf,
  faults: readonly Pick<Variant, "shows">[],
  sets: readonly (readonly number[])[],
  stateOf: (set: readonly number[]) => number,
): (move: number, state: number, circumstance: Circumstance, hidden: readonly number[]) => number {
  const known = new Map<string, number>();
  return (move, state, circumstance, hidden) => {
    const whole = sets[state] ?? [];
    const shares = new Map<number, number>();
    for (let mask = 0; mask < 2 ** hidden.length; mask += 1) {
      const absent = hidden.filter((_, bit) => (mask & (1 << bit)) !== 0);
      const share = hidden.reduce((product, index) => {
        const shows = faults[index]?.shows ?? 1;
        return product * (absent.includes(index) ? 1 - shows : shows);
      }, 1);
      const seen = plainCase(move, stateOf(whole.filter((index) => !absent.includes(index))), circumstance);
      shares.set(seen, (shares.get(seen) ?? 0) + share);
    }
    const inOrder = [...shares].sort(([one], [other]) => one - other);
    const [only] = inOrder;
    if (only && inOrder.length === 1) return only[0];
    const key = `${move}:${inOrder.map(([index, share]) => `${index}*${share.toFixed(6)}`).join("+")}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const ofMove = rows[move] ?? [];
    const mixed = new Float64Array(ofMove[0]?.length ?? 0);
    for (const [index, share] of inOrder)
      ofMove[index]?.forEach((p, outcome) => {
        mixed[outcome] = (mixed[outcome] ?? 0) + share * p;
      });
    ofMove.push(mixed);
    known.set(key, ofMove.length - 1);
    return ofMove.length - 1;
  };
}

/** The faults of a set that a run may not show, found once a set. */
function hiddenFaults(
  faults: readonly Pick<Variant, "shows">[],
  sets: readonly (readonly number[])[],
): (state: number) => readonly number[] {
  const found: (readonly number[])[] = [];
  return (state) => {
    const known = found[state];
    if (known) return known;
    const made = (sets[state] ?? NONE_HIDDEN).filter((index) => (faults[index]?.shows ?? 1) < 1);
    found[state] = made;
    return made;
  };
}

/** Cases with what each asks, in the columns of the table. */
function laidOut<R extends { readonly when: When }>(rows: readonly R[], { ask }: Columns): Cases<R> {
  const asked = rows.map(({ when }) => ask(when));
  return {
    rows,
    columns: Int32Array.from(asked, ({ column }) => column),
    values: Int32Array.from(asked, ({ value }) => value),
  };
}

/**
 * Builds the table as it is asked for: a set of faults is composed along the power path once a circumstance. In a powered
 * run an intermittent fault shows with its own chance.
 */
export function buildOutcomeTable(
  faults: readonly Pick<Variant, "key" | "shows">[],
  moves: readonly Move[],
  knowledge: PathKnowledge,
  parameters: Parameters,
): OutcomeTable {
  const columns = columnsFrom(moves.flatMap((move) => [...move.cases, ...(move.number?.cases ?? [])]));
  const cases: MoveCases[] = moves.map((move) => ({
    move,
    outcomes: laidOut(move.cases, columns),
    numeric: laidOut(move.number?.cases ?? [], columns),
  }));
  const numbers = new Map<string, number>();
  const sets: (readonly number[])[] = [];
  const composed: Record<Circumstance, Int16Array[]> = { cold: [], hot: [], loaded: [], wet: [] };
  const rows = cases.map((own) => rowsByCase(own, leakOf(own.move, parameters)));
  /** By state, the case of each move that was asked for; below zero where none was. */
  const found: Record<Circumstance, Int32Array[]> = { cold: [], hot: [], loaded: [], wet: [] };
  const sound = columns.encode(machineState([], "cold", knowledge));
  const compose = (state: number, circumstance: Circumstance): Int16Array => {
    const known = composed[circumstance][state];
    if (known) return known;
    const present = (sets[state] ?? []).map((index) => faults[index]?.key ?? "");
    const made = columns.encode(machineState(present, circumstance, knowledge), sound);
    composed[circumstance][state] = made;
    return made;
  };
  const stateOf = (set: readonly number[]): number => {
    const key = set.join(",");
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, sets.length);
    sets.push(set);
    return sets.length - 1;
  };
  const plainCase = (move: number, state: number, circumstance: Circumstance): number => {
    const own = cases[move]?.outcomes;
    const index = own ? firstMet(own, compose(state, circumstance)) : -1;
    return index === -1 ? (own?.rows.length ?? 0) : index;
  };
  const isPowered = moves.map(({ power }) => power !== "off");
  const hiddenIn = hiddenFaults(faults, sets);
  const mixture = mixtures(rows, plainCase, faults, sets, stateOf);
  const caseOf = (move: number, state: number, circumstance: Circumstance): number => {
    const ofState = found[circumstance][state] ?? new Int32Array(moves.length).fill(-1);
    found[circumstance][state] = ofState;
    const known = ofState[move] ?? -1;
    if (known >= 0) return known;
    const hidden = isPowered[move] === true ? hiddenIn(state) : NONE_HIDDEN;
    const made =
      hidden.length === 0 ? plainCase(move, state, circumstance) : mixture(move, state, circumstance, hidden);
    ofState[move] = made;
    return made;
  };
  return {
    caseOf,
    caseRows: (move) => rows[move] ?? [],
    chance: (move, outcome, state, circumstance) =>
      rows[move]?.[caseOf(move, state, circumstance)]?.[outcome] ?? 0,
    ratioChance: (move, { value, halfWidth }, state, circumstance) => {
      const own = cases[move];
      if (!own || own.numeric.rows.length === 0) return undefined;
      const numeric = own.numeric.rows[firstMet(own.numeric, compose(state, circumstance))];
      return Math.max(
        leakOf(own.move, parameters) * LEAST_WIDTH,
        numeric ? chanceOfRatio(numeric, value, halfWidth) : 0,
      );
    },
    stateOf,
    faultsOf: (state) => sets[state] ?? [],
    size: () => sets.length,
  };
}
