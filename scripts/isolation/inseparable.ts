// Faults of a family that no move tells apart: what src/knowledge/inseparable.json has to hold.

import { placesById } from "@/core/isolation/variants";
import type { Circumstance } from "@/core/knowledge/circumstances";
import type { Knowledge } from "@/core/knowledge/types";
import { type Bench, benchFor } from "./machine";

export interface Alike {
  readonly faults: readonly string[];
  readonly repair: string;
}

/** Under this, two faults of one repair differ less in their answers than a repairer could see. */
const TOLD_APART = 0.5;

/** Chance of an answer under a fault, over the ways in which it shows. */
function chanceUnder(
  { model }: Bench,
  places: readonly number[],
  at: number,
  outcome: number,
  when: Circumstance,
) {
  const { faults } = model.hypotheses;
  return places.reduce(
    (sum, place) =>
      sum + (faults[place]?.share ?? 1) * model.table.chance(at, outcome, model.table.stateOf([place]), when),
    0,
  );
}

/** Half the sum of the differences of two faults' answers, in the move and circumstance that part them best. */
function apart(bench: Bench, one: readonly number[], other: readonly number[]): number {
  const differences = bench.model.moves.flatMap((move, at) =>
    (["cold", "hot", "loaded"] as const).map((when) =>
      move.outcomes.reduce(
        (sum, _, outcome) =>
          sum +
          Math.abs(
            chanceUnder(bench, one, at, outcome, when) - chanceUnder(bench, other, at, outcome, when),
          ) /
            2,
        0,
      ),
    ),
  );
  return Math.max(0, ...differences);
}

/** Pairs of faults with one repair that no move parts, in any family that has both. */
export function inseparable(knowledge: Knowledge): Alike[] {
  const found = new Map<string, Alike>();
  for (const { id: family, stations } of knowledge.families) {
    if (stations.length === 0) continue;
    const bench = benchFor(family, knowledge);
    const { faults } = bench.model.hypotheses;
    const each = [...placesById(faults)].map(([id, places]) => ({
      id,
      places,
      repair: faults[places[0] ?? 0]?.fix.repair ?? "",
    }));
    each.forEach((one, a) => {
      for (const other of each.slice(a + 1)) {
        if (one.repair !== other.repair || apart(bench, one.places, other.places) >= TOLD_APART) continue;
        found.set(`${one.id} ${other.id}`, { faults: [one.id, other.id], repair: one.repair });
      }
    });
  }
  return [...found.values()];
}
