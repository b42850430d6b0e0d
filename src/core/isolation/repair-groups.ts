import { type Trial, trialCost } from "../cost/trial-cost";
import type { Fault, Repair } from "../knowledge/types";
import { type Model, presentFaults } from "./belief";
import type { Intervention } from "./evidence";

/** Hypotheses gathered by what would be done about them. */
export interface RepairGroups {
  /** Group of each hypothesis. */
  readonly groupOf: Int32Array;
  /** Repairs of the roots that a group stands for; none where nothing is wrong any more. */
  readonly repairs: readonly (readonly string[])[];
  /** Cost of curing each hypothesis, its consequences included, minor units, and the minutes in it. */
  readonly costOf: Float64Array;
  readonly minutesOf: Float64Array;
  /** Chance that the repairs of each hypothesis cure it. */
  readonly successOf: Float64Array;
}

/** Prices known for this job stand in place of the table's. */
export type PartPrices = Readonly<Record<string, number>>;

/** Trials below this chance are left out of the order: they cannot change it. */
const LEAST_CHANCE = 1e-4;

function repairsOf(faults: readonly Fault[], indices: readonly number[]): string[] {
  return [...new Set(indices.flatMap((index) => faults[index]?.fix.repair ?? []))].sort();
}

interface Sums {
  readonly minutes: number;
  readonly partMinor: number;
}

/** Minutes and part of a set of repairs. One part cures all that it cures: it is counted once. */
function repairSums(ids: readonly string[], repairs: readonly Repair[], prices: PartPrices): Sums {
  const rows = ids.flatMap((id) => repairs.find((repair) => repair.id === id) ?? []);
  return {
    minutes: rows.reduce((sum, { minutes }) => sum + minutes, 0),
    partMinor: rows.reduce((sum, { id, partMinor }) => sum + (prices[id] ?? partMinor), 0),
  };
}

export function repairGroups(
  model: Model,
  interventions: readonly Intervention[],
  repairs: readonly Repair[],
  prices: PartPrices,
  minuteMinor: number,
): RepairGroups {
  const { all, faults } = model.hypotheses;
  const numbers = new Map<string, number>();
  const groups: (readonly string[])[] = [];
  const wholes = new Map<string, Sums>();
  const minutesOf = new Float64Array(all.length);
  const costOf = new Float64Array(all.length);
  const successOf = new Float64Array(all.length);
  const groupOf = Int32Array.from(all, (hypothesis, index) => {
    const present = presentFaults(model, hypothesis, interventions);
    const roots = hypothesis.roots.filter((root) => present.includes(root));
    const whole = repairsOf(faults, present);
    const wholeKey = whole.join(",");
    const sums = wholes.get(wholeKey) ?? repairSums(whole, repairs, prices);
    wholes.set(wholeKey, sums);
    costOf[index] = sums.minutes * minuteMinor + sums.partMinor;
    minutesOf[index] = sums.minutes;
    successOf[index] = present.reduce((product, one) => product * (faults[one]?.fix.success ?? 1), 1);
    // A consequence whose root is cured is what has to be repaired now.
    const ids = roots.length > 0 ? repairsOf(faults, roots) : whole;
    const key = ids.join(",");
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, groups.length);
    groups.push(ids);
    return groups.length - 1;
  });
  return { groupOf, repairs: groups, costOf, minutesOf, successOf };
}

interface BranchTrial extends Trial {
  readonly group: number;
  readonly chance: number;
  readonly minutes: number;
}

/** Weights of one branch by repair group, gathered in one pass over the hypotheses. */
export class BranchSums {
  readonly weight: Float64Array;
  readonly #cost: Float64Array;
  readonly #minutes: Float64Array;
  readonly #cures: Float64Array;
  readonly #groups: RepairGroups;

  constructor(groups: RepairGroups) {
    this.#groups = groups;
    this.weight = new Float64Array(groups.repairs.length);
    this.#cost = new Float64Array(groups.repairs.length);
    this.#minutes = new Float64Array(groups.repairs.length);
    this.#cures = new Float64Array(groups.repairs.length);
  }

  add(hypothesis: number, weight: number): void {
    const group = this.#groups.groupOf[hypothesis] ?? 0;
    this.weight[group] = (this.weight[group] ?? 0) + weight;
    this.#cost[group] = (this.#cost[group] ?? 0) + weight * (this.#groups.costOf[hypothesis] ?? 0);
    this.#minutes[group] = (this.#minutes[group] ?? 0) + weight * (this.#groups.minutesOf[hypothesis] ?? 0);
    this.#cures[group] = (this.#cures[group] ?? 0) + weight * (this.#groups.successOf[hypothesis] ?? 0);
  }

  /** The repairs that could be tried in this branch, whose whole weight is `total`. */
  trials(total: number): BranchTrial[] {
    const trials: BranchTrial[] = [];
    this.weight.forEach((weight, group) => {
      if (weight / total > LEAST_CHANCE)
        trials.push({
          group,
          chance: weight / total,
          cost: (this.#cost[group] ?? 0) / weight,
          minutes: (this.#minutes[group] ?? 0) / weight,
          cures: (this.#cures[group] ?? 0) / total,
        });
    });
    return trials;
  }

  costOfTrying(total: number, giveUp: number): number {
    return trialCost(this.trials(total), giveUp);
  }
}
