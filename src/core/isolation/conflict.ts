import type { Parameters } from "../knowledge/parameters";
import { seededRandom } from "../seeded-random";
import { courseOf, likelihood, likelihoods } from "./belief";
import type { Answer, Intervention } from "./evidence";
import type { Hypothesis } from "./hypotheses";
import { type Model, stateWith } from "./model";

/** Two answers that no set of faults gives together. */
export interface Impossible {
  readonly seqs: readonly [number, number];
  /** Chance of both under the set that comes nearest to giving both. */
  readonly chance: number;
  /** Chance of each under the set that gives it most readily. */
  readonly apart: readonly [number, number];
  /** Sets of faults that were tried: all of them. */
  readonly sets: number;
}

/** Answers that do not fit together under any set of faults, and the ones whose doubt would explain it. */
export interface Conflict {
  /** How well the best set explains the answers, as a share of how well it usually explains its own. */
  readonly share: number;
  readonly doubted: readonly number[];
  /** The two that cannot stand together, where two alone already contradict each other. */
  readonly impossible: Impossible | null;
}

/** What a fit is judged on. */
export interface Explained {
  readonly model: Model;
  readonly belief: Float64Array;
  readonly answers: readonly Answer[];
  readonly interventions: readonly Intervention[];
}

const SAMPLES = 200;
const SEED = 20_261;
/** Sets that are tried when the question is whether any set of two roots explains the answers. */
const BEST_FEW = 5;

/** Answers drawn from the table for the same moves under one set of faults. */
function drawn(
  model: Model,
  { faults, kind }: Hypothesis,
  answers: readonly Answer[],
  next: () => number,
): Answer[] {
  const state = stateWith(model.table, faults, kind);
  return answers.map((answer) => {
    const move = model.moves.findIndex(({ id }) => id === answer.moveId);
    const outcomes = model.moves[move]?.outcomes ?? [];
    let left = next();
    const picked = outcomes.find((_, outcome) => {
      left -= model.table.chance(move, outcome, state, answer.circumstance);
      return left <= 0;
    });
    return { ...answer, ratio: undefined, outcomeId: picked ?? outcomes.at(-1) ?? answer.outcomeId };
  });
}

const asWords = (answers: readonly Answer[]): Answer[] =>
  answers.map((answer) => ({ ...answer, ratio: undefined }));

/** How well a set explains the answers, as a share of how well it usually explains answers of its own; 1 where it cannot be told. */
function fitOf({ model, answers, interventions }: Explained, set: Hypothesis): number {
  const explained = asWords(answers);
  const { next } = seededRandom(SEED);
  const usual = Array.from({ length: SAMPLES }, () =>
    likelihood(model, set, courseOf(model, drawn(model, set, explained, next), interventions)),
  ).sort((a, b) => a - b);
  const median = usual[SAMPLES / 2] ?? 0;
  return median === 0 ? 1 : likelihood(model, set, courseOf(model, explained, interventions)) / median;
}

/** The likeliest sets; sorting thousands to find five would cost more than all else here. */
function bestSets({ model, belief }: Explained, many: number): Hypothesis[] {
  const best: number[] = [];
  const chance = (index: number | undefined): number => belief[index ?? -1] ?? -1;
  for (let index = 0; index < belief.length; index += 1) {
    if (best.length === many && chance(index) <= chance(best.at(-1))) continue;
    const place = best.findIndex((one) => chance(one) < chance(index));
    best.splice(place === -1 ? best.length : place, 0, index);
    best.length = Math.min(best.length, many);
  }
  return best.flatMap((index) => model.hypotheses.all[index] ?? []);
}

/** Whether none of the best sets explains the answers as well as it should: then more roots are worth looking at. */
export function isBadlyExplained(explained: Explained, parameters: Parameters): boolean {
  const least = parameters["third-root-fit"];
  return (
    explained.answers.length > 1 &&
    bestSets(explained, BEST_FEW).every((set) => fitOf(explained, set) < least)
  );
}

/** The pair of answers that the sets of faults agree least on, when even the best of them hardly gives both. */
function impossiblePair(
  { model, answers, interventions }: Explained,
  parameters: Parameters,
): Impossible | null {
  const each = asWords(answers).map((answer) => likelihoods(model, [answer], interventions));
  const most = each.map((list) => list.reduce((best, one) => Math.max(best, one), 0));
  let found: (Impossible & { readonly share: number }) | null = null;
  for (let a = 0; a < answers.length; a += 1)
    for (let b = a + 1; b < answers.length; b += 1) {
      const [one, other] = [answers[a], answers[b]];
      if (!one || !other || one.seq === other.seq) continue;
      let chance = 0;
      for (let index = 0; index < model.states.length; index += 1)
        chance = Math.max(chance, (each[a]?.[index] ?? 0) * (each[b]?.[index] ?? 0));
      const apart: [number, number] = [most[a] ?? 0, most[b] ?? 0];
      const share = chance / (apart[0] * apart[1]);
      if (found === null || share < found.share)
        found = { seqs: [one.seq, other.seq], chance, apart, sets: model.states.length, share };
    }
  if (found === null || found.share >= parameters["impossible-share"]) return null;
  const { share: _, ...pair } = found;
  return pair;
}

/**
 * Whether the answers contradict each other: their chance under the best set lies below a share of its median over
 * seeded samples of the same moves under that set. The doubted answers are those whose removal raises it most.
 */
export function findConflict(explained: Explained, parameters: Parameters): Conflict | undefined {
  const { model, answers, interventions } = explained;
  if (answers.length < 2) return undefined;
  const [best] = bestSets(explained, 1);
  if (!best) return undefined;
  const share = fitOf(explained, best);
  if (share >= parameters["conflict-share"]) return undefined;
  const words = asWords(answers);
  const explains = (list: readonly Answer[]): number =>
    likelihood(model, best, courseOf(model, list, interventions));
  const own = explains(words);
  const raised = words.map(({ seq }, index) => ({
    seq,
    by: explains(words.filter((_, other) => other !== index)) / own,
  }));
  const inOrder = raised.sort((one, other) => other.by - one.by);
  return {
    share,
    doubted: inOrder.slice(0, 2).map(({ seq }) => seq),
    impossible: impossiblePair(explained, parameters),
  };
}
