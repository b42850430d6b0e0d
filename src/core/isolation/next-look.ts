import type { Move } from "../knowledge/types";
import { after, type Field, type GroupTrial, trialsOf, type Weights } from "./field";
import type { RepairGroups } from "./repair-groups";

/** A repair, or a set done together, that could be tried now. */
export interface RatedTrial {
  readonly repairs: readonly string[];
  /** Chance that this is what is wrong. */
  readonly chance: number;
  /** The same, times the chance that the repair cures it. */
  readonly cures: number;
  /** Expected, minor units, unrounded: what the faults brought about is repaired with them. */
  readonly cost: number;
  /** The minutes in it, and the parts, minor units. */
  readonly minutes: number;
  readonly partMinor: number;
}

/** The best move as a purchase: its price, and for each answer the repairs that could be tried then. */
export interface NextLook {
  readonly moveId: string;
  /** The move, the way to it and its hazard, minor units. */
  readonly costMinor: number;
  /** Expected cost with this one first and repairs after it; what is saved on trying now is what it is worth. */
  readonly expected: number;
  readonly answers: readonly {
    readonly outcomeId: string;
    readonly chance: number;
    readonly trials: readonly RatedTrial[];
  }[];
}

/** Repairs as the decision takes them, the best worth first. */
export function ratedTrials(
  all: readonly GroupTrial[],
  groups: RepairGroups,
  minuteMinor: number,
): RatedTrial[] {
  return all
    .map(
      ({ group, chance, cures, cost, minutes }): RatedTrial => ({
        repairs: groups.repairs[group] ?? [],
        chance,
        cures,
        cost,
        minutes,
        partMinor: cost - minutes * minuteMinor,
      }),
    )
    .sort((one, other) => other.cures / other.cost - one.cures / one.cost);
}

/** A move as one step rated it. */
interface Priced {
  readonly index: number;
  readonly move: Move;
  readonly price: number;
  readonly total: number;
  readonly chance: Float64Array;
}

/** The move that is best to make, with what could be tried after each of its answers. */
export function lookAt(
  best: Priced | undefined,
  field: Field,
  now: Weights,
  rated: (trials: readonly GroupTrial[]) => readonly RatedTrial[],
): NextLook | null {
  if (!best) return null;
  const { index, move, price, total } = best;
  return {
    moveId: move.id,
    costMinor: price,
    expected: total,
    answers: move.outcomes.flatMap((outcomeId, outcome) => {
      const chance = best.chance[outcome] ?? 0;
      if (chance <= 0) return [];
      return [{ outcomeId, chance, trials: rated(trialsOf(field, after(field, now, index, outcome))) }];
    }),
  };
}
