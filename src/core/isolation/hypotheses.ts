import type { Parameters } from "../knowledge/parameters";
import type { Fault } from "../knowledge/types";
import { placesById, type Variant, variantsOf } from "./variants";

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
  /** Faults in each of the ways they show. */
  readonly faults: readonly Variant[];
  readonly all: readonly Hypothesis[];
}

/** Chains of consequences are followed this far: further ones are not worth their number. */
const MAX_DEPTH = 3;
const NO_FAULT = "no-fault-found";

/** Faults of a family that can be in a machine with these stations, in each of the ways they show. */
export function faultsFor(
  faults: readonly Fault[],
  family: string,
  stations: ReadonlySet<string>,
): Variant[] {
  return faults
    .filter((fault) => fault.families.includes(family) && stations.has(fault.station))
    .flatMap((fault) => variantsOf(fault, family));
}

type Places = ReadonlyMap<string, readonly number[]>;

interface Grown {
  readonly faults: readonly number[];
  readonly chance: number;
}

/** What may come next, each consequence in the ways it shows, with the chance that it does not come. */
interface Coming {
  readonly ways: readonly number[];
  readonly away: number;
}

function comingFrom(
  fresh: readonly number[],
  all: ReadonlySet<number>,
  faults: readonly Variant[],
  places: Places,
): Coming[] {
  const coming = new Map<string, Coming>();
  for (const from of fresh)
    for (const { fault: id, chance } of faults[from]?.leadsTo ?? []) {
      const ways = places.get(id) ?? [];
      if (ways.length === 0 || ways.some((way) => all.has(way))) continue;
      coming.set(id, { ways, away: (coming.get(id)?.away ?? 1) * (1 - chance) });
    }
  return [...coming.values()];
}

/**
 * Every subset of the consequences of `roots`, each with its chance: an effect of two causes has two chances to come.
 * @param least what is rarer than this is not followed: nothing that comes of it is likelier
 */
function grow(roots: readonly number[], faults: readonly Variant[], places: Places, least = 0): Grown[] {
  let layers: { all: ReadonlySet<number>; fresh: readonly number[]; chance: number }[] = [
    { all: new Set(roots), fresh: roots, chance: 1 },
  ];
  const done: Grown[] = [];
  for (let depth = 0; depth < MAX_DEPTH; depth += 1) {
    const next: typeof layers = [];
    for (const { all, fresh, chance } of layers) {
      let branches: { picked: number[]; chance: number }[] = [{ picked: [], chance }];
      for (const { ways, away } of comingFrom(fresh, all, faults, places))
        branches = branches.flatMap((one) => [
          { picked: one.picked, chance: one.chance * away },
          ...ways.map((to) => ({
            picked: [...one.picked, to],
            chance: one.chance * (1 - away) * (faults[to]?.share ?? 1),
          })),
        ]);
      branches = branches.filter((one) => one.chance >= least);
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

/** Ways of one fault exclude each other; and one reading cannot prove both of two states of one part. */
function exclude(one: Fault, other: Fault): boolean {
  if (one.id === other.id) return true;
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
 * @param least sets rarer than this beforehand are left out
 */
export function buildHypotheses(
  faults: readonly Variant[],
  family: string,
  maxRoots: 1 | 2,
  parameters: Parameters,
  least = 0,
): Hypotheses {
  const places = placesById(faults);
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
  const all = rootSets.flatMap(({ roots, weight }) => {
    const prior = weight / sum;
    if (prior < least) return [];
    return grow(roots, faults, places, least / prior).map(({ faults: present, chance }) => ({
      roots,
      faults: present,
      prior: prior * chance,
    }));
  });
  return { faults, all: least > 0 ? withoutRarest(all, least) : all };
}

/** Sets that are rarer than `least` beforehand are left out; what is left sums to one again. */
function withoutRarest(all: readonly Hypothesis[], least: number): readonly Hypothesis[] {
  const kept = all.filter(({ prior }) => prior >= least);
  const sum = kept.reduce((acc, { prior }) => acc + prior, 0);
  return kept.map((one) => ({ ...one, prior: one.prior / sum }));
}

/**
 * One root in a motor of a kind that nobody has settled: the kind is one more thing that is not known. Kinds are numbered
 * from the last fault on, in the order of `kinds`.
 * @param faults all faults that any of the kinds can have
 */
export function buildKinds(
  faults: readonly Variant[],
  kinds: readonly { readonly family: string; readonly share: number; readonly faults: readonly Variant[] }[],
  parameters: Parameters,
): Hypotheses {
  const indexOf = new Map(faults.map(({ key }, index) => [key, index]));
  const whole = kinds.reduce((sum, { share }) => sum + share, 0);
  const all = kinds.flatMap(({ family, share, faults: own }, at): Hypothesis[] => {
    const within = buildHypotheses(own, family, 1, parameters).all;
    const numbered = (list: readonly number[]): number[] =>
      list.map((index) => indexOf.get(own[index]?.key ?? "") ?? -1).sort((a, b) => a - b);
    return within.map(({ roots, faults: present, prior }) => ({
      roots: numbered(roots),
      faults: numbered(present),
      prior: (prior * share) / whole,
      kind: faults.length + at,
    }));
  });
  return { faults, all };
}

/** What three roots bring about is followed as far as this, as a share: rarer chains would be most of their number. */
const THIRD_CHAINS = 0.01;

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
  const places = placesById(faults);
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
        return grow(roots, faults, places, THIRD_CHAINS).map(({ faults: present, chance }) => ({
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
