// The knowledge with its chances moved at random: how much the advice loses when the chances it works on are not the true ones.

import type { Chance, Knowledge } from "@/core/knowledge/types";
import { type SeededRandom, seededRandom } from "@/core/seeded-random";

export type Moved = "in-range" | "factor-of-two";

const factor = (random: SeededRandom): number => 2 ** (2 * random.next() - 1);

/** Odds of chances that are held below one. */
const capped = (p: number): number => Math.min(0.98, p);

function withChances({ moves }: Knowledge, moved: (chance: Chance) => number): Knowledge["moves"] {
  return moves.map((move) => ({
    ...move,
    cases: move.cases.map((one) => ({
      ...one,
      chances: Object.fromEntries(
        Object.entries(one.chances).map(([id, chance]) => [id, { ...chance, p: moved(chance) }]),
      ),
    })),
  }));
}

/**
 * `in-range`: every answer's chance anywhere between its low and its high. `factor-of-two`: every answer's chance, every
 * fault's starting odds and every consequence's chance multiplied by anything from a half to two.
 */
export function movedChances(knowledge: Knowledge, how: Moved, seed: number): Knowledge {
  const random = seededRandom(seed);
  if (how === "in-range")
    return {
      ...knowledge,
      moves: withChances(knowledge, ({ low, high }) => low + random.next() * (high - low)),
    };
  return {
    ...knowledge,
    moves: withChances(knowledge, ({ p }) => capped(p * factor(random))),
    faults: knowledge.faults.map((fault) => ({
      ...fault,
      odds: Object.fromEntries(
        Object.entries(fault.odds).map(([family, one]) => [family, one * factor(random)]),
      ),
      leadsTo: fault.leadsTo.map((edge) => ({ ...edge, chance: capped(edge.chance * factor(random)) })),
    })),
  };
}
