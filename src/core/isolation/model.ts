import type { Parameters } from "../knowledge/parameters";
import type { Move } from "../knowledge/types";
import type { Hypotheses } from "./hypotheses";
import type { OutcomeTable } from "./outcome-table";

/** What one machine's isolation is computed on. */
export interface Model {
  readonly hypotheses: Hypotheses;
  readonly moves: readonly Move[];
  readonly table: OutcomeTable;
  /** Number of each hypothesis' set of faults in the table. */
  readonly states: Int32Array;
  /** Most that the owner's words move one hypothesis against another. Ratio. */
  readonly toldMost: number;
}

export function modelFrom(
  hypotheses: Hypotheses,
  moves: readonly Move[],
  table: OutcomeTable,
  parameters: Parameters,
): Model {
  return {
    hypotheses,
    moves,
    table,
    toldMost: parameters["told-most"],
    states: Int32Array.from(hypotheses.all, ({ faults, kind }) => stateWith(table, faults, kind)),
  };
}

/** Number of a set of faults in the table; where the family is asked too, its sign belongs to the set. */
export function stateWith(table: OutcomeTable, faults: readonly number[], kind: number | undefined): number {
  return table.stateOf(kind === undefined ? faults : [...faults, kind]);
}

/** The same machine with other hypotheses about it. */
export function modelWith(model: Model, hypotheses: Hypotheses): Model {
  const states = Int32Array.from(hypotheses.all, ({ faults, kind }) => stateWith(model.table, faults, kind));
  return { ...model, hypotheses, states };
}
