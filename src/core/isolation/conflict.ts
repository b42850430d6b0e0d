import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import { seededRandom } from "../seeded-random";
import { likelihood, type Model } from "./belief";
import type { Answer, Intervention } from "./evidence";

/** Answers that do not fit together under any set of faults, and the ones whose doubt would explain it. */
export interface Conflict {
  /** How well the best set explains the answers, as a share of how well it usually explains its own. */
  readonly share: number;
  readonly doubted: readonly number[];
}

const SAMPLES = 200;
const SEED = 20_261;

/** Answers drawn from the table for the same moves under one set of faults. */
function drawn(
  model: Model,
  faults: readonly number[],
  answers: readonly Answer[],
  next: () => number,
): Answer[] {
  const state = model.table.stateOf(faults);
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

/**
 * Whether the answers contradict each other: their chance under the best set lies below a share of its median over
 * seeded samples of the same moves under that set. The doubted answers are those whose removal raises it most.
 */
export function findConflict(
  model: Model,
  belief: Float64Array,
  answers: readonly Answer[],
  interventions: readonly Intervention[],
  limits: Limits,
): Conflict | undefined {
  if (answers.length < 2) return undefined;
  const best = model.hypotheses.all[belief.indexOf(Math.max(...belief))];
  if (!best) return undefined;
  const told = answers.map((answer) => ({ ...answer, ratio: undefined }));
  const explains = (list: readonly Answer[]): number => likelihood(model, best, list, interventions);
  const { next } = seededRandom(SEED);
  const usual = Array.from({ length: SAMPLES }, () => explains(drawn(model, best.faults, told, next))).sort(
    (a, b) => a - b,
  );
  const median = usual[SAMPLES / 2] ?? 0;
  const own = explains(told);
  if (median === 0 || own >= limitOf(limits, "conflict-share").value * median) return undefined;
  const raised = told.map(({ seq }, index) => ({
    seq,
    by: explains(told.filter((_, other) => other !== index)) / own,
  }));
  const inOrder = raised.sort((one, other) => other.by - one.by);
  return { share: own / median, doubted: inOrder.slice(0, 2).map(({ seq }) => seq) };
}
