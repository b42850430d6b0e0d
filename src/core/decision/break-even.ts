import type { DecisionCase } from "./action";
import { bestPlan } from "./candidates";
import { type Plan, walk } from "./plan";

/** A figure that can be moved: its name, where it stands, and the case with it elsewhere. */
export interface Slider {
  readonly id: "price" | "chance" | "rate" | "machine";
  readonly now: number;
  readonly from: number;
  readonly to: number;
  /** Every expected cost is linear in the figure. */
  at(value: number): DecisionCase;
}

/** A value at which another thing is to be done first. */
export interface Flip {
  readonly at: number;
  /** What is done first below it and above it, by the ids of the actions; the end where nothing is. */
  readonly below: string;
  readonly above: string;
}

const DEEPEST = 24;
const SAME = 1e-6;
/** Between two values with the same answer another one that could save no more than this share is not looked for. */
const SLIGHT = 0.01;

/** What a plan does first: its first action, or its end. */
function firstOf(plan: Plan, options: DecisionCase): string {
  return walk(plan, options).steps[0]?.action.id ?? plan.end;
}

/** A plan over the whole reach of the figure: a straight line. */
interface Line {
  readonly plan: Plan;
  readonly key: string;
  at(value: number): number;
}

interface Lines {
  /** The cheapest of all plans at a value, by a search. */
  found(value: number): Line;
  /** The cheapest at a value of those found so far. */
  known(value: number): Line | undefined;
}

function linesOf(slider: Slider): Lines {
  const ends = [slider.from, slider.to].map((value) => slider.at(value));
  const reach = slider.to - slider.from;
  const all: Line[] = [];
  const known = (value: number): Line | undefined =>
    all.reduce<Line | undefined>(
      (low, one) => (low && low.at(value) <= one.at(value) ? low : one),
      undefined,
    );
  return {
    known,
    found: (value) => {
      const options = slider.at(value);
      const plan = bestPlan(options);
      const [from = 0, to = 0] = ends.map((end) => walk(plan, end).mean);
      const line: Line = {
        plan,
        key: firstOf(plan, options),
        at: (other) => from + ((to - from) * (other - slider.from)) / reach,
      };
      const best = known(value);
      all.push(line);
      return best && best.at(value) < line.at(value) - SAME ? best : line;
    },
  };
}

/**
 * The values at which the answer flips, low to high: the corners of the lower envelope of the lines that plans are over the
 * figure, found by crossing the cheapest plans of both ends until no cheaper one lies between.
 */
export function flipsOf(slider: Slider): readonly Flip[] {
  if (!(slider.to > slider.from)) return [];
  const lines = linesOf(slider);
  const between = (from: number, low: Line, to: number, high: Line, depth: number): Flip[] => {
    const lead = high.at(from) - low.at(from);
    const end = low.at(to) - high.at(to);
    if (lead + end <= SAME || depth === 0) return [];
    const cross = from + ((to - from) * Math.max(0, lead)) / (Math.max(0, lead) + Math.max(0, end));
    // No plan can lie lower between the two than the chord from end to end.
    const chord = low.at(from) + ((high.at(to) - low.at(from)) * (cross - from)) / (to - from);
    if (low.key === high.key && low.at(cross) - chord <= SLIGHT * low.at(cross)) return [];
    // A line that is known already saves the search: only where none lies lower is it asked whether any does.
    const near = lines.known(cross);
    const found = near && near.at(cross) < low.at(cross) - SAME ? near : lines.found(cross);
    if (found.at(cross) >= low.at(cross) - SAME)
      return low.key === high.key ? [] : [{ at: cross, below: low.key, above: high.key }];
    return [...between(from, low, cross, found, depth - 1), ...between(cross, found, to, high, depth - 1)];
  };
  return between(slider.from, lines.found(slider.from), slider.to, lines.found(slider.to), DEEPEST);
}

/** Of the flips the one that lies nearest to where the figure stands. */
export function nearestFlip(flips: readonly Flip[], now: number): Flip | undefined {
  return flips.reduce<Flip | undefined>(
    (best, flip) => (best && Math.abs(best.at - now) <= Math.abs(flip.at - now) ? best : flip),
    undefined,
  );
}
