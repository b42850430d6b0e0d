import type { MotorKind } from "@/core/tools/motor-kinds";

/** Kinds in the order of the rows below. */
export const KINDS = [
  "capacitor-start",
  "capacitor-start-run",
  "permanent-split-capacitor",
  "split-phase",
  "shaded-pole",
  "universal",
  "permanent-magnet-dc",
  "electronically-commutated",
  "synchronous",
  "three-phase",
] as const satisfies readonly MotorKind[];

type Row = readonly number[];

function tableOf(rows: Readonly<Record<string, Readonly<Record<string, Row>>>>) {
  return new Map(Object.entries(rows).map(([clue, values]) => [clue, new Map(Object.entries(values))]));
}

/**
 * Chance of each clue on a motor of each kind, in the order of {@link KINDS}; what is not seen says nothing and is no
 * value. The rows of one clue add up to one for each kind. Judged: shop-practice; construction decides most of them
 * (a cage has no brushes, a ring of copper shades a pole), the rest is how often a repairer names it right.
 */
const CLUES = tableOf({
  speed: {
    near: [0.985, 0.985, 0.96, 0.985, 0.93, 0.03, 0.25, 0.35, 0.05, 0.98],
    exact: [0.005, 0.005, 0.01, 0.005, 0.02, 0.02, 0.05, 0.1, 0.93, 0.01],
    high: [0.01, 0.01, 0.03, 0.01, 0.05, 0.95, 0.7, 0.55, 0.02, 0.01],
  },
  leads: {
    two: [0.16, 0.05, 0.05, 0.3, 0.93, 0.7, 0.94, 0.06, 0.78, 0.01],
    three: [0.32, 0.35, 0.67, 0.28, 0.05, 0.08, 0.03, 0.55, 0.18, 0.5],
    more: [0.52, 0.6, 0.28, 0.42, 0.02, 0.22, 0.03, 0.39, 0.04, 0.49],
  },
  capacitor: {
    none: [0.05, 0.02, 0.08, 0.95, 0.97, 0.92, 0.94, 0.78, 0.76, 0.97],
    "one-big": [0.85, 0.12, 0.06, 0.02, 0.01, 0.01, 0.01, 0.1, 0.01, 0.01],
    "one-flat": [0.08, 0.06, 0.84, 0.02, 0.01, 0.06, 0.04, 0.1, 0.22, 0.01],
    two: [0.02, 0.8, 0.02, 0.01, 0.01, 0.01, 0.01, 0.02, 0.01, 0.01],
  },
  brushes: {
    seen: [0.01, 0.01, 0.01, 0.01, 0.01, 0.96, 0.95, 0.02, 0.01, 0.01],
    none: [0.99, 0.99, 0.99, 0.99, 0.99, 0.04, 0.05, 0.98, 0.99, 0.99],
  },
  rings: {
    seen: [0.01, 0.01, 0.01, 0.01, 0.97, 0.01, 0.01, 0.01, 0.05, 0.01],
    none: [0.99, 0.99, 0.99, 0.99, 0.03, 0.99, 0.99, 0.99, 0.95, 0.99],
  },
  turn: {
    steps: [0.04, 0.04, 0.04, 0.04, 0.03, 0.08, 0.85, 0.85, 0.65, 0.04],
    smooth: [0.96, 0.96, 0.96, 0.96, 0.97, 0.92, 0.15, 0.15, 0.35, 0.96],
  },
  heard: {
    whine: [0.03, 0.03, 0.04, 0.03, 0.04, 0.95, 0.68, 0.1, 0.02, 0.04],
    click: [0.72, 0.66, 0.06, 0.72, 0.01, 0.01, 0.01, 0.03, 0.01, 0.02],
    hum: [0.24, 0.3, 0.89, 0.24, 0.94, 0.03, 0.28, 0.27, 0.94, 0.93],
    beeps: [0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.03, 0.6, 0.03, 0.01],
  },
  rotor: {
    cage: [0.98, 0.98, 0.98, 0.98, 0.98, 0.005, 0.005, 0.03, 0.05, 0.98],
    commutator: [0.01, 0.01, 0.01, 0.01, 0.01, 0.99, 0.99, 0.01, 0.01, 0.01],
    magnets: [0.01, 0.01, 0.01, 0.01, 0.01, 0.005, 0.005, 0.96, 0.94, 0.01],
  },
  stator: {
    slots: [0.97, 0.97, 0.97, 0.97, 0.08, 0.02, 0.01, 0.75, 0.06, 0.97],
    poles: [0.02, 0.02, 0.02, 0.02, 0.91, 0.96, 0.02, 0.22, 0.34, 0.02],
    magnets: [0.005, 0.005, 0.005, 0.005, 0.005, 0.015, 0.965, 0.015, 0.01, 0.005],
    "one-coil": [0.005, 0.005, 0.005, 0.005, 0.005, 0.005, 0.005, 0.015, 0.59, 0.005],
  },
  switch: {
    seen: [0.95, 0.9, 0.02, 0.95, 0.01, 0.01, 0.01, 0.01, 0.01, 0.02],
    none: [0.05, 0.1, 0.98, 0.05, 0.99, 0.99, 0.99, 0.99, 0.99, 0.98],
  },
  gauges: {
    two: [0.93, 0.92, 0.4, 0.93, 0.02, 0.1, 0.02, 0.02, 0.02, 0.02],
    one: [0.07, 0.08, 0.6, 0.07, 0.98, 0.9, 0.98, 0.98, 0.98, 0.98],
  },
  ohms: {
    equal: [0.02, 0.02, 0.38, 0.02, 0.02, 0.05, 0.02, 0.03, 0.15, 0.02],
    near: [0.15, 0.15, 0.42, 0.13, 0.02, 0.05, 0.02, 0.02, 0.03, 0.02],
    far: [0.78, 0.78, 0.15, 0.8, 0.02, 0.03, 0.02, 0.02, 0.02, 0.02],
    alike: [0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.02, 0.88, 0.01, 0.9],
    "one-low": [0.02, 0.02, 0.02, 0.02, 0.12, 0.72, 0.88, 0.03, 0.01, 0.02],
    "one-middle": [0.01, 0.01, 0.01, 0.01, 0.8, 0.13, 0.03, 0.01, 0.2, 0.01],
    "one-high": [0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.01, 0.58, 0.01],
  },
});

/** The values that each clue may have. */
export const CLUE_VALUES: ReadonlyMap<string, readonly string[]> = new Map(
  [...CLUES].map(([clue, values]) => [clue, [...values.keys()]]),
);

/** How often each kind comes to a repairer's bench, before anything is seen. Judged: shop-practice. */
const BEFORE: Row = [0.12, 0.06, 0.17, 0.07, 0.14, 0.17, 0.1, 0.09, 0.06, 0.02];

export type Seen = Readonly<Record<string, string | undefined>>;

export interface Posterior {
  readonly kind: (typeof KINDS)[number];
  readonly chance: number;
}

/** Least chance of a clue: a wrong look is never quite impossible. */
const LEAST = 0.004;

/**
 * Chance of each kind after what was seen, by Bayes' rule with clues independent given the kind, likeliest first, and how
 * well the best of them explains what was seen (the mean factor a clue, 1 at best).
 */
export function kindsAfter(seen: Seen): {
  readonly kinds: readonly Posterior[];
  readonly fit: number;
  readonly count: number;
} {
  const given = Object.entries(seen).flatMap(([clue, value]) => {
    const row = value === undefined ? undefined : CLUES.get(clue)?.get(value);
    return row ? [row] : [];
  });
  const weights = KINDS.map((_, index) =>
    given.reduce((product, row) => product * Math.max(LEAST, row[index] ?? 0), BEFORE[index] ?? 0),
  );
  const total = weights.reduce((sum, one) => sum + one, 0);
  const kinds = KINDS.map((kind, index) => ({ kind, chance: (weights[index] ?? 0) / total })).sort(
    (one, other) => other.chance - one.chance,
  );
  const best = KINDS.indexOf(kinds[0]?.kind ?? "universal");
  const log = given.reduce((sum, row) => sum + Math.log(Math.max(LEAST, row[best] ?? 0)), 0);
  return { kinds, fit: given.length === 0 ? 1 : Math.exp(log / given.length), count: given.length };
}
