import { describe, expect, it } from "vitest";
import { inseparable } from "../../../scripts/isolation/inseparable";
import { begin, benchFor, hide, make, named, repair } from "../../../scripts/isolation/machine";
import { checklist, informationOurStop, ours, type Policy } from "../../../scripts/isolation/policies";
import { KNOWLEDGE, LIMITS } from "../shop-ground";

const MACHINES = 20;
const MOST_MOVES = 25;

/** Mean cost and share of roots named first over machines drawn from the knowledge's own chances. */
function over(family: string, policy: Policy): { readonly cost: number; readonly rootFirst: number } {
  const bench = benchFor(family, KNOWLEDGE, LIMITS);
  let [cost, right] = [0, 0];
  for (let seed = 1; seed <= MACHINES; seed += 1) {
    const hidden = hide(bench, seed * 104_729);
    const { search: first, answers } = begin(bench, hidden);
    let search = first;
    for (let moves = 0; moves < MOST_MOVES; moves += 1) {
      const next = policy(bench, search);
      if (next === undefined) break;
      search = make(bench, hidden, search, answers, next);
    }
    cost += search.spent + repair(bench, hidden, search);
    right += named(bench, hidden, search).cure ? 1 : 0;
  }
  return { cost: cost / MACHINES, rootFirst: right / MACHINES };
}

describe("faults and moves", () => {
  it("no two faults of a family look alike to every move: each can be told from each", () => {
    expect(inseparable(KNOWLEDGE, LIMITS)).toEqual([]);
  });
});

describe("twenty machines a family with hidden faults", () => {
  it.each(["shaded-pole", "synchronous"])("%s", (family) => {
    const own = over(family, ours());
    expect(own.rootFirst).toBeGreaterThanOrEqual(0.6);
    expect(own.cost).toBeLessThan(over(family, checklist(0.8)).cost);
    // Twenty machines are few: the aim of 1 % is the bench's, this only catches a broken ranking.
    expect(own.cost).toBeLessThan(1.1 * over(family, informationOurStop).cost);
  });
});
