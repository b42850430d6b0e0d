import type { Parameters } from "../knowledge/parameters";
import type { Inseparable, Station } from "../knowledge/types";
import { likelihoods, type Model } from "./belief";
import type { Answer, Intervention } from "./evidence";
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
const MANY = "more-than-one";

/** Chances of single roots add up by root; sets with more than one root are one row, so that all add up to one. */
function singles(
  model: Model,
  belief: Float64Array,
): { readonly byRoot: Float64Array; readonly many: number } {
  const byRoot = new Float64Array(model.hypotheses.faults.length);
  let many = 0;
  model.hypotheses.all.forEach(({ roots }, index) => {
    const chance = belief[index] ?? 0;
    const [root] = roots;
    if (roots.length > 1 || root === undefined) many += chance;
    else byRoot[root] = (byRoot[root] ?? 0) + chance;
  });
  return { byRoot, many };
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

/** What each line says of some roots: the answers that one line gives add up. */
function byLine(answers: readonly Weighed[], roots: readonly number[]): Weight[] {
  const lines = new Map<number, number>();
  for (const { perAnswer, bits } of answers)
    lines.set(perAnswer.answer.seq, (lines.get(perAnswer.answer.seq) ?? 0) + bits(roots));
  return [...lines].map(([seq, bits]) => ({ seq, bits }));
}

/** Every suspect with what speaks for and against it, likeliest first; the last row holds all sets of more than one root. */
export function suspects(
  model: Model,
  belief: Float64Array,
  perAnswer: readonly AnswerLikelihoods[],
  inseparable: readonly Inseparable[],
): Suspect[] {
  const { byRoot, many } = singles(model, belief);
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
      for: weights.filter(({ bits }) => bits > LEAST_BITS),
      against: weights
        .filter(({ bits }) => bits < -LEAST_BITS)
        .map(({ seq, bits }) => ({ seq, bits: -bits })),
    };
  });
  const inOrder = explained.sort(
    (one, other) => other.chance - one.chance || one.roots.join().localeCompare(other.roots.join()),
  );
  return [...inOrder, { roots: [MANY], alike: [], consequences: [], chance: many, for: [], against: [] }];
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
  const { byRoot, many } = singles(model, belief);
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
