import type { Parameters } from "../knowledge/parameters";
import type { Fault } from "../knowledge/types";

/** A set of roots and the consequences they brought about. Faults are indices into the model's list. */
export interface Hypothesis {
  readonly roots: readonly number[];
  /** Everything that is wrong: roots and consequences, ascending. */
  readonly faults: readonly number[];
  readonly prior: number;
  /** Where the family is not known: the kind of motor, as a number past the last fault. */
  readonly kind?: number;
}

export interface Hypotheses {
  readonly faults: readonly Fault[];
  readonly all: readonly Hypothesis[];
}

/** Chains of consequences are followed this far: further ones are not worth their number. */
const MAX_DEPTH = 3;
const NO_FAULT = "no-fault-found";

/** Faults of a family that can be in a machine with these stations. */
export function faultsFor(faults: readonly Fault[], family: string, stations: ReadonlySet<string>): Fault[] {
  return faults.filter((fault) => fault.families.includes(family) && stations.has(fault.station));
}

interface Grown {
  readonly faults: readonly number[];
  readonly chance: number;
}

function edgesFrom(fault: Fault, indexOf: ReadonlyMap<string, number>): { to: number; chance: number }[] {
  return fault.leadsTo.flatMap(({ fault: id, chance }) => {
    const to = indexOf.get(id);
    return to === undefined ? [] : [{ to, chance }];
  });
}

/** Every subset of the consequences of `roots`, each with its chance: an effect of two causes has two chances to come. */
function grow(
  roots: readonly number[],
  faults: readonly Fault[],
  indexOf: ReadonlyMap<string, number>,
): Grown[] {
  let layers: { all: ReadonlySet<number>; fresh: readonly number[]; chance: number }[] = [
    { all: new Set(roots), fresh: roots, chance: 1 },
  ];
  const done: Grown[] = [];
  for (let depth = 0; depth < MAX_DEPTH; depth += 1) {
    const next: typeof layers = [];
    for (const { all, fresh, chance } of layers) {
      const stays = new Map<number, number>();
      for (const from of fresh) {
        const fault = faults[from];
        for (const { to, chance: edge } of fault ? edgesFrom(fault, indexOf) : [])
          if (!all.has(to)) stays.set(to, (stays.get(to) ?? 1) * (1 - edge));
      }
      let branches: { picked: number[]; chance: number }[] = [{ picked: [], chance }];
      for (const [to, away] of stays)
        branches = branches.flatMap((one) => [
          { picked: one.picked, chance: one.chance * away },
          { picked: [...one.picked, to], chance: one.chance * (1 - away) },
        ]);
      for (const { picked, chance: reached } of branches) {
        const grown = new Set([...all, ...picked]);
        if (picked.length === 0) done.push({ faults: [...grown].sort((a, b) => a - b), chance: reached });
        else next.push({ all: grown, fresh: picked, chance: reached });
      }
    }
    layers = next;
  }
  for (const { all, chance } of layers) done.push({ faults: [...all].sort((a, b) => a - b), chance });
  return done;
}

/** One reading cannot prove both of two states of one part: such a pair cannot be. */
function exclude(one: Fault, other: Fault): boolean {
  return one.provenBy.some(({ moveId }) =>
    other.provenBy.some(
      (proof) =>
        proof.moveId === moveId && one.station === other.station && one.fix.repair === other.fix.repair,
    ),
  );
}

/**
 * All sets of up to `maxRoots` roots with every subset of their consequences, and their priors, which sum to one.
 * A pair's prior is the product of its odds times the rate of a second root. "No fault now" stands alone.
 */
export function buildHypotheses(
  faults: readonly Fault[],
  family: string,
  maxRoots: 1 | 2,
  parameters: Parameters,
): Hypotheses {
  const indexOf = new Map(faults.map(({ id }, index) => [id, index]));
  const odds = faults.map((fault) => fault.odds[family] ?? 0);
  const total = odds.reduce((sum, one) => sum + one, 0);
  const rate = parameters["second-root-rate"];
  const rootSets: { roots: number[]; weight: number }[] = odds.flatMap((one, index) =>
    one > 0 ? [{ roots: [index], weight: one / total }] : [],
  );
  if (maxRoots === 2)
    for (let a = 0; a < faults.length; a += 1)
      for (let b = a + 1; b < faults.length; b += 1) {
        const [one, other] = [faults[a], faults[b]];
        if (!one || !other || one.id === NO_FAULT || other.id === NO_FAULT || exclude(one, other)) continue;
        const weight = (rate * (odds[a] ?? 0) * (odds[b] ?? 0)) / (total * total);
        if (weight > 0) rootSets.push({ roots: [a, b], weight });
      }
  const sum = rootSets.reduce((acc, { weight }) => acc + weight, 0);
  const all = rootSets.flatMap(({ roots, weight }) =>
    grow(roots, faults, indexOf).map(({ faults: present, chance }) => ({
      roots,
      faults: present,
      prior: (weight / sum) * chance,
    })),
  );
  return { faults, all };
}

/**
 * One root in a motor of a kind that nobody has settled: the kind is one more thing that is not known. Kinds are numbered
 * from the last fault on, in the order of `kinds`.
 * @param faults all faults that any of the kinds can have
 */
export function buildKinds(
  faults: readonly Fault[],
  kinds: readonly { readonly family: string; readonly share: number; readonly faults: readonly Fault[] }[],
  parameters: Parameters,
): Hypotheses {
  const indexOf = new Map(faults.map(({ id }, index) => [id, index]));
  const whole = kinds.reduce((sum, { share }) => sum + share, 0);
  const all = kinds.flatMap(({ family, share, faults: own }, at): Hypothesis[] => {
    const within = buildHypotheses(own, family, 1, parameters).all;
    const numbered = (list: readonly number[]): number[] =>
      list.map((index) => indexOf.get(own[index]?.id ?? "") ?? -1).sort((a, b) => a - b);
    return within.map(({ roots, faults: present, prior }) => ({
      roots: numbered(roots),
      faults: numbered(present),
      prior: (prior * share) / whole,
      kind: faults.length + at,
    }));
  });
  return { faults, all };
}

/** Faults that may be the third root: a dozen keeps what is enumerated near what two roots need. */
const THIRD_FROM = 12;

/**
 * The same hypotheses with sets of three roots among the dozen faults that two roots leave likeliest, for answers that no
 * two explain. Priors sum to one again.
 */
export function withThreeRoots(
  { faults, all }: Hypotheses,
  family: string,
  belief: Float64Array,
  parameters: Parameters,
): Hypotheses {
  const indexOf = new Map(faults.map(({ id }, index) => [id, index]));
  const odds = faults.map((fault) => fault.odds[family] ?? 0);
  const total = odds.reduce((sum, one) => sum + one, 0);
  const rate = parameters["second-root-rate"];
  const held = new Float64Array(faults.length);
  all.forEach(({ roots }, index) => {
    for (const root of roots) held[root] = (held[root] ?? 0) + (belief[index] ?? 0);
  });
  const likeliest = [...faults.keys()]
    .filter((index) => faults[index]?.id !== NO_FAULT && (odds[index] ?? 0) > 0)
    .sort((one, other) => (held[other] ?? 0) - (held[one] ?? 0))
    .slice(0, THIRD_FROM)
    .sort((a, b) => a - b);
  const canStand = (roots: readonly number[]): boolean =>
    roots.every((a, place) =>
      roots.slice(place + 1).every((b) => {
        const [one, other] = [faults[a], faults[b]];
        return one !== undefined && other !== undefined && !exclude(one, other);
      }),
    );
  const triples = likeliest.flatMap((a, first) =>
    likeliest.slice(first + 1).flatMap((b, second) =>
      likeliest.slice(first + second + 2).flatMap((c): Hypothesis[] => {
        const roots = [a, b, c];
        if (!canStand(roots)) return [];
        const weight = rate ** 2 * roots.reduce((product, root) => product * ((odds[root] ?? 0) / total), 1);
        return grow(roots, faults, indexOf).map(({ faults: present, chance }) => ({
          roots,
          faults: present,
          prior: weight * chance,
        }));
      }),
    ),
  );
  const sum = triples.reduce((acc, { prior }) => acc + prior, 1);
  return { faults, all: [...all, ...triples].map((one) => ({ ...one, prior: one.prior / sum })) };
}
