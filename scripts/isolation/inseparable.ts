// Faults of a family that no move can tell apart, whatever it is asked in: src/knowledge/inseparable.json.

import type { Knowledge, Limits } from "@/core/knowledge/types";
import { benchFor } from "./machine";

export interface Inseparable {
  readonly family: string;
  readonly faults: readonly string[];
}

/** Groups of faults that give the same chances for every answer of every move, cold, hot and loaded. */
export function inseparable(knowledge: Knowledge, limits: Limits): Inseparable[] {
  return knowledge.families
    .filter(({ id }) => id !== "not-known")
    .flatMap(({ id: family }) => {
      const { model } = benchFor(family, knowledge, limits);
      const groups = new Map<string, string[]>();
      model.hypotheses.faults.forEach(({ id }, index) => {
        const state = model.table.stateOf([index]);
        const print = model.moves
          .map((move, at) =>
            (["cold", "hot", "loaded"] as const)
              .map((circumstance) =>
                move.outcomes
                  .map((_, outcome) => model.table.chance(at, outcome, state, circumstance).toFixed(6))
                  .join(),
              )
              .join("/"),
          )
          .join(";");
        groups.set(print, [...(groups.get(print) ?? []), id]);
      });
      return [...groups.values()]
        .filter((faults) => faults.length > 1)
        .map((faults) => ({ family, faults: faults.sort() }));
    });
}
