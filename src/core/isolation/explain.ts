import type { Parameters } from "../knowledge/parameters";
import type { Inseparable, Station } from "../knowledge/types";
import { likelihoods } from "./belief";
import type { Answer, Intervention } from "./evidence";
import type { Model } from "./model";
import { placesById, type Variant } from "./variants";

/** How strongly one answer speaks, in bits; the sign is in the list it stands in. */
export interface Weight {
  readonly seq: number;
  readonly bits: number;
}

export interface Suspect {
  readonly roots: readonly string[];
  /** Faults that no move tells from the root: they share its row, its chance and its cure. */
  readonly alike: readonly string[];
  /** What it most likely brought about by now. */
  readonly consequences: readonly string[];
  readonly chance: number;
  readonly for: readonly Weight[];
  readonly against: readonly Weight[];
}

export interface StationShare {
  readonly id: string;
  readonly chance: number;
  /** The direct reading that proved it good, by line. */
  readonly provedGoodBy: number | null;
}

const LEAST_BITS = 0.3;
/** All sets of more than one root that have no row of their own. */
const MANY = "more-than-one";
/** Nothing is wrong any more: what was tried has worked. */
export const MENDED = "mended";

/** Chances by single root, of nothing being wrong any more, and of all sets of more than one root: together one. */
interface Shares {
  readonly byRoot: Float64Array;
  readonly many: number;
  readonly mended: number;
}

function sharesOf(model: Model, belief: Float64Array): Shares {
  const byRoot = new Float64Array(model.hypotheses.faults.length);
  let [many, mended] = [0, 0];
  model.hypotheses.all.forEach(({ roots }, index) => {
    const chance = belief[index] ?? 0;
    const [root] = roots;
    if (root === undefined) mended += chance;
    else if (roots.length > 1) many += chance;
    else byRoot[root] = (byRoot[root] ?? 0) + chance;
  });
  return { byRoot, many, mended };
}

/** A set of two or more roots that is likely enough to be named. */
interface NamedSet {
  readonly roots: readonly string[];
  readonly members: readonly number[];
  readonly chance: number;
}

/** Sets of more than one root by the faults in them, whatever way each shows, from `least` on. */
function namedSets(model: Model, belief: Float64Array, least: number): NamedSet[] {
  const { all, faults } = model.hypotheses;
  const ids = [...new Set(faults.map(({ id }) => id))].sort();
  const places = new Map(ids.map((id, place) => [id, place]));
  const placeOf = faults.map(({ id }) => places.get(id) ?? 0);
  // Thousands of sets: a number stands for the names of each until it is known which are likely.
  const sets = new Map<number, { members: number[]; chance: number }>();
  all.forEach(({ roots }, index) => {
    const chance = belief[index] ?? 0;
    if (roots.length < 2 || chance <= 0) return;
    const inOrder = roots.map((root) => placeOf[root] ?? 0).sort((one, other) => one - other);
    const key = inOrder.reduce((sum, place) => sum * ids.length + place, 0);
    const known = sets.get(key) ?? { members: [], chance: 0 };
    known.members.push(index);
    known.chance += chance;
    sets.set(key, known);
  });
  const namesOf = (member: number | undefined): string[] =>
    (all[member ?? -1]?.roots ?? []).map((root) => faults[root]?.id ?? "").sort();
  return [...sets.values()].flatMap(({ members, chance }) =>
    chance >= least ? [{ roots: namesOf(members[0]), members, chance }] : [],
  );
}

/** What each line says of a set against all the rest, bits. */
function setWeights(model: Model, { members }: NamedSet, perAnswer: readonly AnswerLikelihoods[]): Weight[] {
  const { all } = model.hypotheses;
  const inside = new Set(members);
  const lines = new Map<number, number>();
  for (const { answer, likelihoods } of perAnswer) {
    const sums = { own: 0, ownPrior: 0, rest: 0, restPrior: 0 };
    all.forEach(({ prior }, index) => {
      const told = prior * (likelihoods[index] ?? 0);
      if (inside.has(index)) {
        sums.own += told;
        sums.ownPrior += prior;
      } else {
        sums.rest += told;
        sums.restPrior += prior;
      }
    });
    const isTold = sums.own > 0 && sums.rest > 0;
    const bits = isTold ? Math.log2(sums.own / sums.ownPrior / (sums.rest / sums.restPrior)) : 0;
    lines.set(answer.seq, (lines.get(answer.seq) ?? 0) + bits);
  }
  return [...lines].map(([seq, bits]) => ({ seq, bits }));
}

function forAndAgainst(weights: readonly Weight[]): Pick<Suspect, "for" | "against"> {
  return {
    for: weights.filter(({ bits }) => bits > LEAST_BITS),
    against: weights.filter(({ bits }) => bits < -LEAST_BITS).map(({ seq, bits }) => ({ seq, bits: -bits })),
  };
}

/** One answer and how likely each hypothesis made it, taken by itself. */
export interface AnswerLikelihoods {
  readonly answer: Answer;
  readonly likelihoods: Float64Array;
}

export function eachAnswer(
  model: Model,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): AnswerLikelihoods[] {
  return answers.map((answer) => ({ answer, likelihoods: likelihoods(model, [answer], interventions) }));
}

/** Sums over single roots and over all, of the priors and of one answer's weights: one pass. */
interface RootSums {
  readonly byRoot: Float64Array;
  readonly whole: number;
}

function sumsByRoot(model: Model, weightOf: (index: number, prior: number) => number): RootSums {
  const byRoot = new Float64Array(model.hypotheses.faults.length);
  let whole = 0;
  model.hypotheses.all.forEach(({ roots, prior }, index) => {
    const weight = weightOf(index, prior);
    whole += weight;
    const [root] = roots;
    if (roots.length === 1 && root !== undefined) byRoot[root] = (byRoot[root] ?? 0) + weight;
  });
  return { byRoot, whole };
}

/** Weight of evidence of one answer for some single roots against all the rest: log2 of the likelihood ratio. */
type Bits = (roots: readonly number[]) => number;

function bitsOf(model: Model, { likelihoods }: AnswerLikelihoods, priors: RootSums): Bits {
  const told = sumsByRoot(model, (index, prior) => prior * (likelihoods[index] ?? 0));
  const over = ({ byRoot }: RootSums, roots: readonly number[]): number =>
    roots.reduce((sum, root) => sum + (byRoot[root] ?? 0), 0);
  return (roots) => {
    const [inside, insidePrior] = [over(told, roots), over(priors, roots)];
    const [outside, outsidePrior] = [told.whole - inside, priors.whole - insidePrior];
    if (insidePrior <= 0 || outsidePrior <= 0 || inside <= 0 || outside <= 0) return 0;
    return Math.log2(inside / insidePrior / (outside / outsidePrior));
  };
}

/** An answer with what it says of each root. */
interface Weighed {
  readonly perAnswer: AnswerLikelihoods;
  readonly bits: Bits;
}

function weighed(model: Model, perAnswer: readonly AnswerLikelihoods[]): Weighed[] {
  const priors = sumsByRoot(model, (_, prior) => prior);
  return perAnswer.map((one) => ({ perAnswer: one, bits: bitsOf(model, one, priors) }));
}

/** By root, the likeliest set that has it as its only root. */
function likeliestSets(model: Model, belief: Float64Array): readonly (readonly number[])[] {
  const { all, faults } = model.hypotheses;
  const best = new Float64Array(faults.length).fill(-1);
  const sets: (readonly number[])[] = faults.map((_, root) => [root]);
  all.forEach(({ roots, faults: present }, index) => {
    const [root] = roots;
    const chance = belief[index] ?? 0;
    if (roots.length !== 1 || root === undefined || chance <= (best[root] ?? 0)) return;
    best[root] = chance;
    sets[root] = present;
  });
  return sets;
}

/** Faults in all the ways they show, and those that no move tells apart together, the likelier first. */
function asOne(
  faults: readonly Variant[],
  byRoot: Float64Array,
  inseparable: readonly Inseparable[],
): number[][] {
  const places = placesById(faults);
  const groups = inseparable
    .map((group) => group.faults.filter((id) => places.has(id)))
    .filter((members) => members.length > 1);
  const grouped = new Set(groups.flat());
  const alone = [...places.keys()].filter((id) => !grouped.has(id)).map((id) => [id]);
  return [...groups, ...alone].map((ids) =>
    ids.flatMap((id) => places.get(id) ?? []).sort((one, other) => (byRoot[other] ?? 0) - (byRoot[one] ?? 0)),
  );
}

/** What a set of roots has most likely brought about by now. */
function consequencesOf(model: Model, belief: Float64Array, { members }: NamedSet): readonly string[] {
  const { all, faults } = model.hypotheses;
  const [first = 0] = members;
  const heaviest = members.reduce((best, at) => ((belief[at] ?? 0) > (belief[best] ?? 0) ? at : best), first);
  const set = all[heaviest];
  const left = (set?.faults ?? []).filter((index) => !set?.roots.includes(index));
  return left.map((index) => faults[index]?.id ?? "");
}

/** What each line says of some roots: the answers that one line gives add up. */
function byLine(answers: readonly Weighed[], roots: readonly number[]): Weight[] {
  const lines = new Map<number, number>();
  for (const { perAnswer, bits } of answers)
    lines.set(perAnswer.answer.seq, (lines.get(perAnswer.answer.seq) ?? 0) + bits(roots));
  return [...lines].map(([seq, bits]) => ({ seq, bits }));
}

/**
 * Every suspect with what speaks for and against it, likeliest first. A set of two or more roots has a row of its own
 * from the chance on that is worth a figure; the last row holds all other sets, and one stands for "mended".
 */
export function suspects(
  model: Model,
  belief: Float64Array,
  perAnswer: readonly AnswerLikelihoods[],
  inseparable: readonly Inseparable[],
  parameters: Parameters,
): Suspect[] {
  const { byRoot, many, mended } = sharesOf(model, belief);
  const answers = weighed(model, perAnswer);
  const sets = likeliestSets(model, belief);
  const { faults } = model.hypotheses;
  const explained = asOne(faults, byRoot, inseparable).map((members): Suspect => {
    const chance = members.reduce((sum, root) => sum + (byRoot[root] ?? 0), 0);
    const weights = chance < 1e-3 ? [] : byLine(answers, members);
    const [root = 0] = members;
    const [id = "", ...alike] = new Set(members.map((index) => faults[index]?.id ?? ""));
    return {
      roots: [id],
      alike,
      consequences: (sets[root] ?? [])
        .filter((index) => index !== root)
        .map((index) => faults[index]?.id ?? ""),
      chance,
      ...forAndAgainst(weights),
    };
  });
  const together = namedSets(model, belief, parameters["unlikely-chance"]).map(
    (set): Suspect => ({
      roots: set.roots,
      alike: [],
      consequences: consequencesOf(model, belief, set),
      chance: set.chance,
      ...forAndAgainst(setWeights(model, set, perAnswer)),
    }),
  );
  const bare = { alike: [], consequences: [], for: [], against: [] };
  const nothing = mended > 0 ? [{ ...bare, roots: [MENDED], chance: mended }] : [];
  const inOrder = [...explained, ...together, ...nothing].sort(
    (one, other) => other.chance - one.chance || one.roots.join().localeCompare(other.roots.join()),
  );
  const unnamed = Math.max(0, many - together.reduce((sum, { chance }) => sum + chance, 0));
  return [...inOrder, { ...bare, roots: [MANY], chance: unnamed }];
}

/** A reading made at the station itself that did not show its fault: the only thing that may say "proved good". */
function provedGood(model: Model, station: string, answers: readonly Weighed[]): number | null {
  const own = model.hypotheses.faults.flatMap((fault, index) => (fault.station === station ? [index] : []));
  const proofs = own.flatMap((index) => model.hypotheses.faults[index]?.provenBy ?? []);
  const isDirect = ({ perAnswer: { answer } }: Weighed): boolean => {
    const made = proofs.filter(({ moveId }) => moveId === answer.moveId);
    return made.length > 0 && made.every(({ outcomeId }) => outcomeId !== answer.outcomeId);
  };
  const against = answers
    .filter(isDirect)
    .map(({ perAnswer: { answer }, bits }) => ({ seq: answer.seq, bits: bits(own) }));
  return (
    against.filter(({ bits }) => bits < -LEAST_BITS).sort((one, other) => one.bits - other.bits)[0]?.seq ??
    null
  );
}

/** The share of each station on the power path, and a row for sets of more than one root; together one. */
export function stationShares(
  model: Model,
  belief: Float64Array,
  stations: readonly Station[],
  perAnswer: readonly AnswerLikelihoods[],
  parameters: Parameters,
): StationShare[] {
  const { byRoot, many } = sharesOf(model, belief);
  const unlikely = parameters["unlikely-chance"];
  const answers = weighed(model, perAnswer);
  const shares = [...stations]
    .sort((one, other) => one.order - other.order)
    .map(({ id }): StationShare => {
      const chance = model.hypotheses.faults.reduce(
        (sum, fault, index) => sum + (fault.station === id ? (byRoot[index] ?? 0) : 0),
        0,
      );
      return { id, chance, provedGoodBy: chance < unlikely ? provedGood(model, id, answers) : null };
    });
  return [...shares, { id: MANY, chance: many, provedGoodBy: null }];
}
