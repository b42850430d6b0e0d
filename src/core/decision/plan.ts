import { type Action, cheapestEnd, costOf, type DecisionCase, type End, endCost, type Swap } from "./action";

/** A step of a plan by where it stands in the case: the same plan can be priced under another case. */
export type StepRef =
  | { readonly of: "way"; readonly cause: number; readonly way: number }
  | { readonly of: "swap"; readonly swap: number }
  /** What a swap left of a cause. */
  | { readonly of: "left"; readonly swap: number; readonly cause: number };

export interface Plan {
  readonly refs: readonly StepRef[];
  readonly end: End["id"];
}

/** A step as it is made: what it costs, and the chance that it ends it. */
export interface Step {
  readonly action: Action;
  readonly cost: number;
  /** Chance beforehand that this step is the one that ends it. */
  readonly cures: number;
  /** Chance beforehand that it is made at all. */
  readonly made: number;
}

export interface Walked {
  readonly steps: readonly Step[];
  readonly end: End;
  /** Chance that none of the steps ends it. */
  readonly stillWrong: number;
  /** Expected cost, the end and what is likely to fail next included. Minor units, unrounded. */
  readonly mean: number;
}

/** What is still wrong, and which part of it. */
interface Left {
  /** Chance of each cause that is not cured. */
  readonly chance: number[];
  /** Chance of what a swap left, by cause. */
  readonly leftOver: number[];
  readonly done: Set<string>;
  /** The way that each of those needs. */
  readonly needs: Map<number, string>;
}

function madeWay(options: DecisionCase, left: Left, cause: number, at: number): [Action, number] {
  const way = options.causes[cause]?.ways[at];
  if (!way) throw new Error(`no way ${at} of cause ${cause}`);
  const cures = (left.chance[cause] ?? 0) * way.success;
  left.chance[cause] = (left.chance[cause] ?? 0) - cures;
  left.done.add(way.id);
  return [way, cures + curedLeftOvers(left, way.id, way.success)];
}

/** What a swap left of other causes is cured by the same way. */
function curedLeftOvers(left: Left, id: string, success: number): number {
  let cures = 0;
  if (left.needs.size === 0) return 0;
  for (const [cause, need] of left.needs) {
    if (need !== id) continue;
    const rest = left.leftOver[cause] ?? 0;
    cures += rest * success;
    left.leftOver[cause] = rest * (1 - success);
  }
  return cures;
}

function madeSwap(options: DecisionCase, left: Left, swap: Swap): number {
  let cures = 0;
  for (const [index, { id }] of options.causes.entries()) {
    const leaves = swap.leaves.get(id);
    if (leaves === undefined) continue;
    const reached = (left.chance[index] ?? 0) * swap.success;
    left.chance[index] = (left.chance[index] ?? 0) - reached;
    if (leaves === null) cures += reached;
    // What is left of it was done before: nothing is left.
    else if (left.done.has(leaves.way.id)) cures += reached * leaves.way.success;
    else {
      left.leftOver[index] = (left.leftOver[index] ?? 0) + reached;
      left.needs.set(index, leaves.way.id);
    }
  }
  return cures;
}

function made(options: DecisionCase, left: Left, ref: StepRef): [Action, number] {
  if (ref.of === "way") return madeWay(options, left, ref.cause, ref.way);
  const swap = options.swaps[ref.swap];
  if (!swap) throw new Error(`no swap ${ref.swap}`);
  if (ref.of === "swap") return [swap, madeSwap(options, left, swap)];
  const way = swap.leaves.get(options.causes[ref.cause]?.id ?? "")?.way;
  if (!way) throw new Error(`nothing left of cause ${ref.cause}`);
  left.done.add(way.id);
  return [way, curedLeftOvers(left, way.id, way.success)];
}

/** What a plan comes to under a case: every step with its cost and chance, to the end. Linear in each price and chance. */
export function walk({ refs, end: endId }: Plan, options: DecisionCase): Walked {
  const left: Left = {
    chance: options.causes.map(({ chance }) => chance),
    leftOver: options.causes.map(() => 0),
    done: new Set(),
    needs: new Map(),
  };
  const end = options.ends.find(({ id }) => id === endId) ?? cheapestEnd(options);
  let stillWrong = 1;
  let mean = 0;
  const steps = refs.map((ref): Step => {
    const [action, cures] = made(options, left, ref);
    const cost = costOf(action, options);
    const step = { action, cost, cures, made: stillWrong };
    mean += stillWrong * cost + cures * (action.later ?? 0);
    stillWrong = Math.max(0, stillWrong - cures);
    return step;
  });
  return { steps, end, stillWrong, mean: mean + stillWrong * endCost(end, options) };
}
