import type { DecisionCase, Way } from "@/core/decision/action";

interface At {
  readonly wrong: number;
  /** Chance by cause, and what a swap left by the way that it needs. */
  readonly masses: readonly number[];
  readonly left: ReadonlyMap<string, number>;
  readonly done: readonly string[];
  readonly isSwapped: boolean;
}

/**
 * The least that any order of anything comes to, by going through all of them: an oracle that shares no code with the search.
 * A way that is easier than one already made is never made, nor one whose cause a swap has dealt with.
 */
export function leastOfEveryOrder(options: DecisionCase): number {
  const { causes, swaps, ends, minuteMinor, dayMinor } = options;
  const price = (one: { cash: { likely: number }; minutes: { likely: number }; days: number }): number =>
    one.cash.likely + one.minutes.likely * minuteMinor + one.days * dayMinor;
  const sure = Math.min(...ends.filter(({ success }) => success >= 1).map(price));
  const giveUp = Math.min(...ends.map((end) => price(end) + (1 - end.success) * sure));
  const startAt: At = {
    wrong: 1,
    masses: causes.map(({ chance }) => chance),
    left: new Map(),
    done: [],
    isSwapped: false,
  };
  const afterWay = (at: At, cause: number, way: Way): At => {
    const cured = (at.masses[cause] ?? 0) * way.success + (at.left.get(way.id) ?? 0) * way.success;
    return {
      ...at,
      wrong: at.wrong - cured,
      masses: at.masses.map((mass, index) => (index === cause ? mass * (1 - way.success) : mass)),
      left: new Map([...at.left, [way.id, (at.left.get(way.id) ?? 0) * (1 - way.success)]]),
      done: [...at.done, way.id],
    };
  };
  const go = (at: At): number => {
    let best = at.wrong * giveUp;
    for (const [cause, { id, ways }] of causes.entries()) {
      if (at.isSwapped && swaps[0]?.leaves.has(id)) continue;
      for (const [index, way] of ways.entries()) {
        if (ways.slice(index).some((later) => at.done.includes(later.id))) continue;
        best = Math.min(best, at.wrong * price(way) + go(afterWay(at, cause, way)));
      }
    }
    const [swap] = swaps;
    if (swap && !at.isSwapped) {
      const left = new Map<string, number>();
      let cured = 0;
      const masses = at.masses.map((mass, index) => {
        const leaves = swap.leaves.get(causes[index]?.id ?? "");
        if (leaves === undefined) return mass;
        const reached = mass * swap.success;
        if (leaves === null) cured += reached;
        else if (at.done.includes(leaves.way.id)) cured += reached * leaves.way.success;
        else left.set(leaves.way.id, (left.get(leaves.way.id) ?? 0) + reached);
        return mass - reached;
      });
      best = Math.min(
        best,
        at.wrong * price(swap) + go({ ...at, wrong: at.wrong - cured, masses, left, isSwapped: true }),
      );
    }
    return best;
  };
  return go(startAt);
}
