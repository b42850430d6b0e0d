import { type MachineRepair, totalOf, workMinutes } from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { Fault } from "../knowledge/types";
import type { Model } from "./model";

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

function repairsOf(faults: readonly Fault[], indices: readonly number[]): string[] {
  return [...new Set(indices.flatMap((index) => faults[index]?.fix.repair ?? []))].sort();
}

interface Sums {
  readonly minutes: number;
  readonly partMinor: number;
}

/**
 * Minutes and part of a set of repairs tried together. One part cures all that it cures: it is counted once, and so is a
 * cover that is off for several. Whether it cured is known only after a run, which is part of the price of trying.
 */
function repairSums(
  ids: readonly string[],
  repairs: ReadonlyMap<string, MachineRepair>,
  prices: PartPrices,
  trialRunMinutes: number,
): Sums {
  const rows = ids.flatMap((id) => repairs.get(id) ?? []);
  return {
    minutes: trialRunMinutes + totalOf(workMinutes(rows)),
    partMinor: rows.reduce((sum, { id, partMinor }) => sum + (prices[id] ?? partMinor), 0),
  };
}

/** What would be done about each hypothesis, whatever it costs. */
interface Structure {
  readonly groupOf: Int32Array;
  readonly groups: readonly (readonly string[])[];
  /** Number of the whole set of repairs of each hypothesis, consequences included. */
  readonly wholeOf: Int32Array;
  readonly wholes: readonly (readonly string[])[];
  readonly successOf: Float64Array;
}

/** Numbers lists of names, the same list always alike. */
function numbering(): { numberOf(names: readonly string[]): number; readonly lists: (readonly string[])[] } {
  const numbers = new Map<string, number>();
  const lists: (readonly string[])[] = [];
  return {
    lists,
    numberOf: (names) => {
      const key = names.join(",");
      const known = numbers.get(key);
      if (known !== undefined) return known;
      numbers.set(key, lists.length);
      lists.push(names);
      return lists.length - 1;
    },
  };
}

function structureOf(model: Model): Structure {
  const { all, faults } = model.hypotheses;
  const groups = numbering();
  const wholes = numbering();
  const groupOf = new Int32Array(all.length);
  const wholeOf = new Int32Array(all.length);
  const successOf = new Float64Array(all.length);
  for (const [index, hypothesis] of all.entries()) {
    wholeOf[index] = wholes.numberOf(repairsOf(faults, hypothesis.faults));
    groupOf[index] = groups.numberOf(repairsOf(faults, hypothesis.roots));
    successOf[index] = hypothesis.faults.reduce(
      (product, one) => product * (faults[one]?.fix.success ?? 1),
      1,
    );
  }
  return { groupOf, groups: groups.lists, wholeOf, wholes: wholes.lists, successOf };
}

/** Structure of a machine nothing was done to yet, and its costs at the last prices asked for: once a model. */
interface Kept {
  readonly structure: Structure;
  priced?: { readonly key: string; readonly groups: RepairGroups };
}

const untouched = new WeakMap<Model, Kept>();

function keptFor(model: Model): Kept {
  const known = untouched.get(model) ?? { structure: structureOf(model) };
  untouched.set(model, known);
  return known;
}

function priced(
  { groupOf, groups, wholeOf, wholes, successOf }: Structure,
  repairs: readonly MachineRepair[],
  prices: PartPrices,
  minuteMinor: number,
  trialRunMinutes: number,
): RepairGroups {
  const byId = new Map(repairs.map((repair) => [repair.id, repair]));
  const sums = wholes.map((whole) => repairSums(whole, byId, prices, trialRunMinutes));
  const costs = sums.map(({ minutes, partMinor }) => minutes * minuteMinor + partMinor);
  return {
    groupOf,
    repairs: groups,
    costOf: Float64Array.from(wholeOf, (whole) => costs[whole] ?? 0),
    minutesOf: Float64Array.from(wholeOf, (whole) => sums[whole]?.minutes ?? 0),
    successOf,
  };
}

export function repairGroups(
  model: Model,
  repairs: readonly MachineRepair[],
  prices: PartPrices,
  minuteMinor: number,
  parameters: Parameters,
): RepairGroups {
  const trialRunMinutes = parameters["trial-run-minutes"];
  const kept = keptFor(model);
  const own = repairs.map(({ minutes, partMinor, covers }) => [minutes, partMinor, covers.length]);
  const key = JSON.stringify([prices, minuteMinor, trialRunMinutes, own]);
  if (kept.priced?.key !== key)
    kept.priced = { key, groups: priced(kept.structure, repairs, prices, minuteMinor, trialRunMinutes) };
  return kept.priced.groups;
}
