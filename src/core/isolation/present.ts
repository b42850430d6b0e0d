import { courseOf, pathWeights, toldFactors } from "./belief";
import type { Answer, Intervention } from "./evidence";
import type { AnswerLikelihoods } from "./explain";
import type { Hypothesis } from "./hypotheses";
import { type Model, modelWith } from "./model";
import { keptPaths } from "./paths";

/** The machine as it is now: what is still wrong under each hypothesis, whatever was tried, and how likely that is. */
export interface Present {
  readonly model: Model;
  readonly belief: Float64Array;
  /** The hypothesis of the machine as it came in that each is from. */
  readonly from: Int32Array;
}

/** Lighter than this, as a share of the whole, nothing is carried on. */
const LEAST_CARRIED = 1e-12;

/** What is still wrong: the roots that are still there, however they show now, or what one that is gone has left behind. */
function rootsNow(
  { hypotheses: { faults: known } }: Model,
  roots: readonly number[],
  faults: readonly number[],
): readonly number[] {
  const ids = new Set(roots.map((root) => known[root]?.id));
  const left = faults.filter((fault) => ids.has(known[fault]?.id));
  return left.length > 0 ? left : faults;
}

/**
 * Carries on every branch of what was tried, the one in which it did not work with the rest: it grows with every answer
 * that says so. Without interventions the machine is as it came in.
 */
export function presentOf(
  model: Model,
  belief: Float64Array,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
): Present {
  const { all, faults } = model.hypotheses;
  if (interventions.length === 0) return { model, belief, from: Int32Array.from(all.keys()) };
  const words = toldFactors(model, answers);
  const course = courseOf(model, answers, interventions);
  const paths = keptPaths(model, course.plan);
  const weights = pathWeights(model, paths, course);
  const places = new Map<string, number>();
  const now: { hypothesis: Hypothesis; from: number; most: number; weight: number }[] = [];
  all.forEach((hypothesis, from) => {
    if ((belief[from] ?? 0) < LEAST_CARRIED) return;
    for (let path = paths.begins[from] ?? 0; path < (paths.begins[from + 1] ?? 0); path += 1) {
      const left = paths.faults[path] ?? [];
      const weight = (weights[path] ?? 0) * hypothesis.prior * (words?.[from] ?? 1);
      if (!(weight > 0)) continue;
      const roots = rootsNow(model, hypothesis.roots, left);
      const key = `${roots.join()}|${left.join()}|${hypothesis.kind ?? ""}`;
      const place = places.get(key) ?? now.length;
      const known = now[place];
      if (!known) {
        places.set(key, place);
        const { kind } = hypothesis;
        const base = { roots, faults: left, prior: 0 };
        now.push({ hypothesis: kind === undefined ? base : { ...base, kind }, from, most: weight, weight });
        continue;
      }
      known.weight += weight;
      if (weight > known.most) [known.from, known.most] = [from, weight];
    }
  });
  const total = now.reduce((sum, { weight }) => sum + weight, 0);
  const kept = now.filter(({ weight }) => weight >= LEAST_CARRIED * total);
  const sum = kept.reduce((acc, { weight }) => acc + weight, 0);
  return {
    model: modelWith(model, {
      faults,
      all: kept.map(({ hypothesis, weight }) => ({ ...hypothesis, prior: weight / sum })),
    }),
    belief: Float64Array.from(kept, ({ weight }) => weight / sum),
    from: Int32Array.from(kept, ({ from }) => from),
  };
}

/** What each answer said, laid over the machine as it is now: the last ones of this machine, earlier ones of the one before. */
export function spokenNow(
  { model, from }: Present,
  spoken: readonly AnswerLikelihoods[],
  lastEpoch: number,
): AnswerLikelihoods[] {
  return spoken.map(({ answer, likelihoods }) => {
    const move = model.moves.findIndex(({ id }) => id === answer.moveId);
    const outcome = model.moves[move]?.outcomes.indexOf(answer.outcomeId) ?? -1;
    const isOfNow = answer.epoch === lastEpoch && outcome >= 0;
    return {
      answer,
      likelihoods: Float64Array.from(from, (origin, place) =>
        isOfNow
          ? model.table.chance(move, outcome, model.states[place] ?? 0, answer.circumstance)
          : (likelihoods[origin] ?? 0),
      ),
    };
  });
}
