import { limitOf } from "../knowledge/resolve-limits";
import type { Limits, Station } from "../knowledge/types";
import { likelihoods, type Model } from "./belief";
import type { Answer, Intervention } from "./evidence";

/** How strongly one answer speaks, in bits; the sign is in the list it stands in. */
export interface Weight {
  readonly seq: number;
  readonly bits: number;
}

export interface Suspect {
  readonly roots: readonly string[];
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
export interface Spoken {
  readonly answer: Answer;
  readonly likelihoods: Float64Array;
}

export function eachAnswer(
  model: Model,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): Spoken[] {
  return answers.map((answer) => ({ answer, likelihoods: likelihoods(model, [answer], interventions) }));
}

/** Weight of evidence of one answer for a set of hypotheses against the rest: log2 of the likelihood ratio. */
function bitsOf(model: Model, { likelihoods }: Spoken, isIn: (index: number) => boolean): number {
  let [inside, insidePrior, outside, outsidePrior] = [0, 0, 0, 0];
  model.hypotheses.all.forEach(({ prior }, index) => {
    const weight = prior * (likelihoods[index] ?? 0);
    if (isIn(index)) {
      inside += weight;
      insidePrior += prior;
    } else {
      outside += weight;
      outsidePrior += prior;
    }
  });
  if (insidePrior === 0 || outsidePrior === 0 || inside === 0 || outside === 0) return 0;
  return Math.log2(inside / insidePrior / (outside / outsidePrior));
}

function likeliestConsequences(model: Model, belief: Float64Array, root: number): string[] {
  let best = -1;
  let faults: readonly number[] = [root];
  model.hypotheses.all.forEach((hypothesis, index) => {
    if (hypothesis.roots.length !== 1 || hypothesis.roots[0] !== root || (belief[index] ?? 0) <= best) return;
    best = belief[index] ?? 0;
    ({ faults } = hypothesis);
  });
  return faults.filter((index) => index !== root).map((index) => model.hypotheses.faults[index]?.id ?? "");
}

/** Every suspect with what speaks for and against it, likeliest first; the last row holds all sets of more than one root. */
export function suspects(model: Model, belief: Float64Array, spoken: readonly Spoken[]): Suspect[] {
  const { byRoot, many } = singles(model, belief);
  const explained = model.hypotheses.faults.map(({ id }, root): Suspect => {
    const chance = byRoot[root] ?? 0;
    const isIn = (index: number): boolean => {
      const { roots } = model.hypotheses.all[index] ?? { roots: [] };
      return roots.length === 1 && roots[0] === root;
    };
    const weights =
      chance < 1e-3 ? [] : spoken.map((one) => ({ seq: one.answer.seq, bits: bitsOf(model, one, isIn) }));
    return {
      roots: [id],
      consequences: likeliestConsequences(model, belief, root),
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
  return [...inOrder, { roots: [MANY], consequences: [], chance: many, for: [], against: [] }];
}

/** A reading made at the station itself that did not show its fault: the only thing that may say "proved good". */
function provedGood(model: Model, station: string, spoken: readonly Spoken[]): number | null {
  const proofs = model.hypotheses.faults
    .filter((fault) => fault.station === station)
    .flatMap(({ provenBy }) => provenBy);
  const isDirect = ({ answer }: Spoken): boolean => {
    const own = proofs.filter(({ moveId }) => moveId === answer.moveId);
    return own.length > 0 && own.every(({ outcomeId }) => outcomeId !== answer.outcomeId);
  };
  const isIn = (index: number): boolean => {
    const { roots } = model.hypotheses.all[index] ?? { roots: [] };
    return roots.length === 1 && model.hypotheses.faults[roots[0] ?? -1]?.station === station;
  };
  const against = spoken
    .filter(isDirect)
    .map((one) => ({ seq: one.answer.seq, bits: bitsOf(model, one, isIn) }));
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
  spoken: readonly Spoken[],
  limits: Limits,
): StationShare[] {
  const { byRoot, many } = singles(model, belief);
  const unlikely = limitOf(limits, "unlikely-chance").value;
  const shares = [...stations]
    .sort((one, other) => one.order - other.order)
    .map(({ id }): StationShare => {
      const chance = model.hypotheses.faults.reduce(
        (sum, fault, index) => sum + (fault.station === id ? (byRoot[index] ?? 0) : 0),
        0,
      );
      return { id, chance, provedGoodBy: chance < unlikely ? provedGood(model, id, spoken) : null };
    });
  return [...shares, { id: MANY, chance: many, provedGoodBy: null }];
}
