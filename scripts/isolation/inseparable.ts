// Faults of a family that no move tells apart: what src/knowledge/inseparable.json has to hold.

import type { Knowledge } from "@/core/knowledge/types";
import { type Bench, benchFor } from "./machine";

export interface Alike {
  readonly faults: readonly string[];
  readonly repair: string;
}

/** Under this, two faults of one repair differ less in their answers than a repairer could see. */
const TOLD_APART = 0.5;

/** Half the sum of the differences of two faults' answers, in the move and circumstance that part them best. */
function apart({ model }: Bench, one: number, other: number): number {
  const [a, b] = [model.table.stateOf([one]), model.table.stateOf([other])];
  const differences = model.moves.flatMap((move, at) =>
    (["cold", "hot", "loaded"] as const).map((circumstance) =>
      move.outcomes.reduce(
        (sum, _, outcome) =>
          sum +
          Math.abs(
            model.table.chance(at, outcome, a, circumstance) -
              model.table.chance(at, outcome, b, circumstance),
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
    faults.forEach((one, a) => {
      faults.slice(a + 1).forEach((other, after) => {
        if (one.fix.repair !== other.fix.repair || apart(bench, a, a + 1 + after) >= TOLD_APART) return;
        found.set(`${one.id} ${other.id}`, { faults: [one.id, other.id], repair: one.fix.repair });
      });
    });
  }
  return [...found.values()];
}
