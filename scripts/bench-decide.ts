// Timings of the decision on made-up machines, and how far the search lies above the best choice of ways.

import type { Action, ActionKind, Cause, DecisionCase, Swap, Way } from "@/core/decision/action";
import { decide, firstAction, notchesOf, withMoved } from "@/core/decision/decide";
import { walk } from "@/core/decision/plan";
import { searchIn } from "@/core/decision/search";
import { exactly } from "@/core/decision/spread";
import { seededRandom } from "@/core/seeded-random";
import { sized } from "./lib/sized.mjs";

const MACHINE = 24_000;
const WAYS: ReadonlySet<ActionKind> = new Set(["repair", "easier", "donor"]);

function action(kind: ActionKind, id: string, minutes: number, cash: number): Action {
  return { id, kind, repairs: [id], cash: exactly(cash), minutes: exactly(minutes), days: 0 };
}

/** Suspects with an easier try, a donor's part and a new part each; a motor, an assembly and a pair that cover some. */
function madeCase(suspects: number, seed: number): DecisionCase {
  const random = seededRandom(seed);
  const between = (from: number, to: number): number => from + (to - from) * random.next();
  const weights = Array.from({ length: suspects }, () => between(0.1, 1.1));
  const sum = weights.reduce((all, weight) => all + weight, 0.3);
  const causes = weights.map((weight, index): Cause => {
    const way = (kind: ActionKind, minutes: number, cash: number, success: number): Way => ({
      ...action(kind, `${kind}-${index}`, minutes, cash),
      success,
    });
    return {
      id: `cause-${index}`,
      chance: weight / sum,
      ways: [
        way("easier", between(10, 30), 0, between(0.2, 0.5)),
        way("donor", between(20, 50), between(200, 1000), 0.7),
        way("repair", between(20, 50), between(800, 3800), 0.93),
      ],
    };
  });
  const swap = (kind: ActionKind, minutes: number, cash: number, share: number): Swap => ({
    ...action(kind, kind, minutes, cash),
    success: 0.97,
    leaves: new Map(causes.slice(0, Math.ceil(share * suspects)).map(({ id }) => [id, null])),
  });
  return {
    causes,
    swaps: [
      swap("motor", 60, 9000, 0.5),
      swap("assembly", 30, 14_000, 0.7),
      swap("pair", 50, 3000, 2 / suspects),
    ],
    ends: [{ id: "replace", cash: exactly(MACHINE), minutes: exactly(0), days: 0, success: 1, years: 10 }],
    minuteMinor: 50,
    dayMinor: 0,
    years: 5,
    interest: 0.03,
  };
}

function timed(name: string, run: () => unknown, runs = sized(200, 4)): void {
  for (let warm = 0; warm < runs / 4; warm += 1) run();
  const times = Array.from({ length: runs }, () => {
    const started = performance.now();
    run();
    return performance.now() - started;
  }).sort((one, other) => one - other);
  const at = (share: number): string => (times[Math.floor(share * (times.length - 1))] ?? 0).toFixed(1);
  console.log(`${name.padEnd(60)} median ${at(0.5)} ms   p95 ${at(0.95)} ms`);
}

const dozen = madeCase(12, 7);
timed("decide, 12 suspects with three repairs each", () => decide(dozen));
timed("search and break-evens, the same (aim 20 ms)", () => {
  const { best } = decide(dozen);
  notchesOf(dozen, best.steps[0]?.action);
});
const first = firstAction(dozen);
timed("a slider moved: decision and notches (aim 50 ms)", () => {
  const moved = withMoved(dozen, { rate: 4500 }, first);
  decide(moved);
  notchesOf(moved, first);
});

const gaps = Array.from({ length: sized(200, 4) }, (_, index) => {
  const given = madeCase(4, index + 1);
  const best = (allChoices?: number): number =>
    Math.min(
      ...[undefined, 0, 1].map((swap) => {
        const search = searchIn(given, allChoices);
        return walk(search({ ways: WAYS, swap }), given).mean;
      }),
    );
  return best() / best(Number.POSITIVE_INFINITY) - 1;
}).sort((one, other) => one - other);
const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
console.log(
  `choice of ways above the best of all, ${gaps.length} cases of 4 × 3: mean ${(100 * mean).toFixed(2)} %, most ${(100 * (gaps.at(-1) ?? 0)).toFixed(2)} %`,
);
