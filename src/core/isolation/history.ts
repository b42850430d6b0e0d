import { capped, growingLikelihoods, isTold, posteriorOf } from "./belief";
import type { Answer, Intervention } from "./evidence";
import type { AnswerLikelihoods } from "./explain";
import type { Model } from "./model";
import { placesById } from "./variants";

/** How suspicion stood once a line of the log was known. */
export interface Standpoint {
  /** The line; zero before any. */
  readonly seq: number;
  /** The likeliest roots then, each by itself, likeliest first. */
  readonly leading: readonly { readonly root: string; readonly chance: number }[];
}

const LEADING = 3;

function leadingIn({ hypotheses }: Model, belief: Float64Array): Standpoint["leading"] {
  const byRoot = new Float64Array(hypotheses.faults.length);
  hypotheses.all.forEach(({ roots }, index) => {
    for (const root of roots) byRoot[root] = (byRoot[root] ?? 0) + (belief[index] ?? 0);
  });
  return [...placesById(hypotheses.faults)]
    .map(([root, places]) => ({ root, chance: places.reduce((sum, at) => sum + (byRoot[at] ?? 0), 0) }))
    .sort((one, other) => other.chance - one.chance || one.root.localeCompare(other.root))
    .slice(0, LEADING);
}

function normal(weights: Float64Array): Float64Array {
  const sum = weights.reduce((total, one) => total + one, 0);
  return weights.map((one) => one / sum);
}

/** Lines in the order they speak; what one line says in several answers is one step. */
function linesOf(answers: readonly Answer[]): number[] {
  return [...new Set(answers.map(({ seq }) => seq))];
}

/**
 * The likeliest roots before any answer and after each line of the log, so that it can be seen what turned suspicion.
 * Chances are those that a root is among what is wrong. Work grows with lines times hypotheses, or their paths.
 */
export function historyOf(
  model: Model,
  perAnswer: readonly AnswerLikelihoods[],
  interventions: readonly Intervention[],
): Standpoint[] {
  const answers = perAnswer.map(({ answer }) => answer);
  const priors = Float64Array.from(model.hypotheses.all, ({ prior }) => prior);
  const first: Standpoint = { seq: 0, leading: leadingIn(model, normal(priors)) };
  if (interventions.length > 0) {
    const likelihoodsOf = growingLikelihoods(model);
    return [
      first,
      ...linesOf(answers).flatMap((seq): Standpoint[] => {
        const upTo = answers.slice(0, answers.findLastIndex((answer) => answer.seq === seq) + 1);
        const epoch = Math.max(...upTo.map((answer) => answer.epoch));
        const done = interventions.filter((one) => one.epoch <= epoch);
        const belief = posteriorOf(model, likelihoodsOf(upTo, done));
        return belief ? [{ seq, leading: leadingIn(model, belief) }] : [];
      }),
    ];
  }
  const found = priors.slice();
  const told = new Float64Array(priors.length).fill(1);
  const after = linesOf(answers).map((seq): Standpoint => {
    for (const { answer, likelihoods } of perAnswer) {
      if (answer.seq !== seq) continue;
      const into = isTold(model, answer) ? told : found;
      for (let index = 0; index < into.length; index += 1)
        into[index] = (into[index] ?? 0) * (likelihoods[index] ?? 0);
    }
    const words = capped(told, model.toldMost);
    return { seq, leading: leadingIn(model, normal(found.map((one, index) => one * (words[index] ?? 0)))) };
  });
  return [first, ...after];
}
