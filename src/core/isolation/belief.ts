import type { Answer, Intervention } from "./evidence";
import type { Hypothesis } from "./hypotheses";
import type { Model } from "./model";
import { type AllPaths, keptPaths, type Plan, pathsOf, planOf } from "./paths";

function moveIndex(model: Model, { moveId }: Answer): number {
  return model.moves.findIndex(({ id }) => id === moveId);
}

function likelihoodOf(model: Model, move: number, answer: Answer, state: number): number {
  const { circumstance, ratio } = answer;
  const byNumber = ratio && model.table.ratioChance(move, ratio, state, circumstance);
  if (byNumber !== undefined) return byNumber;
  const outcome = model.moves[move]?.outcomes.indexOf(answer.outcomeId) ?? -1;
  return model.table.chance(move, outcome, state, circumstance);
}

/** One answer with the place of its move in the model. */
interface Placed {
  readonly answer: Answer;
  readonly move: number;
  /** What it counts for: words from one memory share one word's weight. */
  readonly power: number;
}

/** What was done, and what was found in each epoch. */
export interface Course {
  readonly plan: Plan;
  readonly found: readonly (readonly Placed[])[];
}

/**
 * The owner's words about the machine as it came in are weighed apart; those about the machine as it came back count, all
 * together, for their mean word: no more than one.
 */
export function courseOf(
  model: Model,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): Course {
  const last = Math.max(0, ...answers.map(({ epoch }) => epoch), ...interventions.map(({ epoch }) => epoch));
  const found = Array.from({ length: last + 1 }, (_, epoch): readonly Placed[] => {
    const here = answers
      .filter((answer) => answer.epoch === epoch && !isTold(model, answer))
      .map((answer) => ({ answer, move: moveIndex(model, answer) }));
    const words = here.filter(({ move }) => model.moves[move]?.kind === "question").length;
    const powerOf = (move: number): number => (model.moves[move]?.kind === "question" ? 1 / words : 1);
    return here.map((one): Placed => ({ ...one, power: powerOf(one.move) }));
  });
  const isPowered = found.map((here) =>
    here.some(({ move }) => (model.moves[move]?.power ?? "off") !== "off"),
  );
  return { plan: planOf(model, interventions, isPowered), found };
}

/** Multiplies the weight of each path by what one answer says on its way. */
function weigh(model: Model, { states, epochs }: AllPaths, product: Float64Array, placed: Placed): void {
  const { answer, move, power } = placed;
  // Many paths lead through the same few states.
  const known: number[] = [];
  for (let path = 0; path < product.length; path += 1) {
    const state = states[path * epochs + answer.epoch] ?? 0;
    let one = known[state];
    if (one === undefined) {
      one = likelihoodOf(model, move, answer, state) ** power;
      known[state] = one;
    }
    product[path] = (product[path] ?? 0) * one;
  }
}

/** Weight of each path, with all that was found on its way. */
export function pathWeights(model: Model, paths: AllPaths, { found }: Course): Float64Array {
  const product = paths.weights.slice();
  for (const placed of found.flat()) weigh(model, paths, product, placed);
  return product;
}

/** Sums of the weights of the paths of each hypothesis, in their own order. */
function byHypothesis(model: Model, { begins }: AllPaths, weights: Float64Array): Float64Array {
  return Float64Array.from(model.hypotheses.all, (_, index) => {
    let sum = 0;
    for (let path = begins[index] ?? 0; path < (begins[index + 1] ?? 0); path += 1) sum += weights[path] ?? 0;
    return sum;
  });
}

/** Likelihoods after work as answers are added at the end: what was weighed before is not weighed again. */
export function growingLikelihoods(
  model: Model,
): (answers: readonly Answer[], interventions: readonly Intervention[]) => Float64Array {
  let last: { key: string; placed: readonly Placed[]; weights: Float64Array } | undefined;
  return (answers, interventions) => {
    const found = answers.filter((answer) => !isTold(model, answer));
    const { plan, found: byEpoch } = courseOf(model, found, interventions);
    const placed = byEpoch.flat();
    const paths = keptPaths(model, plan);
    const isSame = (one: Placed): boolean =>
      placed.some(({ answer, power }) => answer === one.answer && power === one.power);
    const before = last?.key === plan.key && last.placed.every(isSame) ? last : undefined;
    const weights = before?.weights ?? paths.weights.slice();
    for (const one of placed)
      if (!before?.placed.some(({ answer }) => answer === one.answer)) weigh(model, paths, weights, one);
    last = { key: plan.key, placed, weights };
    const words = toldFactors(model, answers);
    const product = byHypothesis(model, paths, weights);
    return words ? product.map((one, index) => one * (words[index] ?? 0)) : product;
  };
}

/** Likelihood of all that was found under one hypothesis. */
export function likelihood(model: Model, hypothesis: Hypothesis, { plan, found }: Course): number {
  return pathsOf(model, hypothesis, plan).reduce((sum, { states, weight }) => {
    let product = weight;
    found.forEach((here, epoch) => {
      for (const { answer, move, power } of here)
        product *= likelihoodOf(model, move, answer, states[epoch] ?? 0) ** power;
    });
    return sum + product;
  }, 0);
}

/** Whether an answer is the owner's word about how it was before anything was done. */
export function isTold(model: Model, answer: Answer): boolean {
  return answer.epoch === 0 && model.moves[moveIndex(model, answer)]?.kind === "question";
}

/** Words from one memory: whatever they are worth together, they move no two hypotheses further apart than `most`. */
export function capped(told: Float64Array, most: number): Float64Array {
  const least = told.reduce((best, one) => Math.max(best, one), 0) / most;
  return told.map((one) => Math.max(one, least));
}

/** The same for all hypotheses, in their own order. */
function afterWork(model: Model, course: Course): Float64Array {
  const paths = keptPaths(model, course.plan);
  return byHypothesis(model, paths, pathWeights(model, paths, course));
}

/**
 * Likelihood of the answers under each hypothesis, in their own order. Without interventions it is a plain product, but
 * for what the owner says, which is bounded as a whole.
 */
export function likelihoods(
  model: Model,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): Float64Array {
  const found = answers.filter((answer) => !isTold(model, answer));
  const product =
    interventions.length > 0
      ? afterWork(model, courseOf(model, found, interventions))
      : productOf(model, found);
  const words = toldFactors(model, answers);
  return words ? product.map((one, index) => one * (words[index] ?? 0)) : product;
}

/** What the owner's words are worth under each hypothesis, bounded as a whole; undefined where nothing was said. */
export function toldFactors(model: Model, answers: readonly Answer[]): Float64Array | undefined {
  const told = answers.filter((answer) => isTold(model, answer));
  return told.length === 0 ? undefined : capped(productOf(model, told), model.toldMost);
}

function productOf(model: Model, answers: readonly Answer[]): Float64Array {
  const product = new Float64Array(model.states.length).fill(1);
  for (const answer of answers) {
    const { circumstance, ratio } = answer;
    const move = moveIndex(model, answer);
    const outcome = model.moves[move]?.outcomes.indexOf(answer.outcomeId) ?? -1;
    const isPlain = ratio === undefined;
    for (let index = 0; index < product.length; index += 1) {
      const state = model.states[index] ?? 0;
      const one = isPlain
        ? model.table.chance(move, outcome, state, circumstance)
        : likelihoodOf(model, move, answer, state);
      product[index] = (product[index] ?? 0) * one;
    }
  }
  return product;
}

/** Exact posterior over all hypotheses, in their own order; sums to one. Undefined when nothing explains the answers. */
export function posterior(
  model: Model,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): Float64Array | undefined {
  return posteriorOf(model, likelihoods(model, answers, interventions));
}

/** Posterior from the likelihood of each hypothesis; overwrites them. */
export function posteriorOf(model: Model, weights: Float64Array): Float64Array | undefined {
  const { all } = model.hypotheses;
  let sum = 0;
  for (let index = 0; index < weights.length; index += 1) {
    weights[index] = (weights[index] ?? 0) * (all[index]?.prior ?? 0);
    sum += weights[index] ?? 0;
  }
  if (!(sum > 0) || !Number.isFinite(sum)) return undefined;
  for (let index = 0; index < weights.length; index += 1) weights[index] = (weights[index] ?? 0) / sum;
  return weights;
}
