import type { Parameters } from "../knowledge/parameters";
import type { Fault, Move } from "../knowledge/types";
import type { Answer, Intervention } from "./evidence";
import type { Hypotheses, Hypothesis } from "./hypotheses";
import type { OutcomeTable } from "./outcome-table";

/** What one machine's isolation is computed on. */
export interface Model {
  readonly hypotheses: Hypotheses;
  readonly moves: readonly Move[];
  readonly table: OutcomeTable;
  /** Number of each hypothesis' set of faults in the table. */
  readonly states: Int32Array;
  /** Most that the owner's words move one hypothesis against another. Ratio. */
  readonly toldMost: number;
}

export function modelFrom(
  hypotheses: Hypotheses,
  moves: readonly Move[],
  table: OutcomeTable,
  parameters: Parameters,
): Model {
  return {
    hypotheses,
    moves,
    table,
    toldMost: parameters["told-most"],
    states: Int32Array.from(hypotheses.all, ({ faults, kind }) => stateWith(table, faults, kind)),
  };
}

/** Number of a set of faults in the table; where the family is asked too, its sign belongs to the set. */
export function stateWith(table: OutcomeTable, faults: readonly number[], kind: number | undefined): number {
  return table.stateOf(kind === undefined ? faults : [...faults, kind]);
}

/** The same machine with other hypotheses about it. */
export function modelWith(model: Model, hypotheses: Hypotheses): Model {
  const states = Int32Array.from(hypotheses.all, ({ faults, kind }) => stateWith(model.table, faults, kind));
  return { ...model, hypotheses, states };
}

/** A set of faults that may be present now, with its weight. */
export interface Branch {
  readonly faults: readonly number[];
  /** Consequences that were cured while what brings them about stayed. */
  readonly cured: readonly number[];
  readonly weight: number;
}

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

function indices(model: Model, faultIds: readonly string[]): number[] {
  return model.hypotheses.faults.flatMap(({ id }, index) => (faultIds.includes(id) ? [index] : []));
}

/** A fault that was worked on and is still there may show in another way than before. */
function shownAnew(model: Model, branch: Branch, worked: readonly number[]): Branch[] {
  const { faults } = model.hypotheses;
  return worked.reduce<Branch[]>(
    (spread, place) => {
      const ways = [...faults.keys()].filter((other) => faults[other]?.id === faults[place]?.id);
      return spread.flatMap((one) =>
        ways.map((way) => ({
          ...one,
          faults: one.faults.map((fault) => (fault === place ? way : fault)).sort((a, b) => a - b),
          weight: one.weight * (faults[way]?.share ?? 1),
        })),
      );
    },
    [branch],
  );
}

/** Each branch splits in two: the intervention took away what it was meant to, or it did not. */
function intervene(
  model: Model,
  branches: readonly Branch[],
  targets: readonly number[],
  success: number,
): Branch[] {
  return branches.flatMap((branch) => {
    const gone = branch.faults.filter((fault) => targets.includes(fault));
    // What could not have helped has changed nothing.
    if (gone.length === 0 || success === 0) return [branch];
    const cured = {
      faults: branch.faults.filter((fault) => !targets.includes(fault)),
      cured: [...new Set([...branch.cured, ...gone])].sort((a, b) => a - b),
    };
    return [
      { ...cured, weight: branch.weight * success },
      ...shownAnew(model, { ...branch, weight: branch.weight * (1 - success) }, gone),
    ];
  });
}

/** Work may leave behind what was not there: a wrong part, a lead left off. It shows in any of its ways. */
function bringIn(model: Model, branches: readonly Branch[], brings: Work["brings"]): Branch[] {
  const { faults } = model.hypotheses;
  return brings.reduce<Branch[]>(
    (spread, { places, chance }) =>
      places.length === 0
        ? spread
        : spread.flatMap((one) =>
            places.some((place) => one.faults.includes(place))
              ? [one]
              : [
                  { ...one, weight: one.weight * (1 - chance) },
                  ...places.map((place) => ({
                    ...one,
                    faults: [...one.faults, place].sort((a, b) => a - b),
                    weight: one.weight * chance * (faults[place]?.share ?? 1),
                  })),
                ],
          ),
    [...branches],
  );
}

function edgeChance(fault: Fault | undefined, to: Fault | undefined): number {
  return fault?.leadsTo.find((edge) => edge.fault === to?.id)?.chance ?? 0;
}

/** A cured consequence whose root stayed comes back with its edge's chance at the next powered run. */
function comeBack(model: Model, branches: readonly Branch[]): Branch[] {
  const { faults } = model.hypotheses;
  return branches.flatMap((branch) => {
    let spread: Branch[] = [{ ...branch, cured: [] }];
    for (const lost of branch.cured) {
      const stays = branch.faults.reduce(
        (product, from) => product * (1 - edgeChance(faults[from], faults[lost])),
        1,
      );
      if (stays === 1) continue;
      spread = spread.flatMap((one) => [
        { ...one, weight: one.weight * stays },
        { ...one, faults: [...one.faults, lost].sort((a, b) => a - b), weight: one.weight * (1 - stays) },
      ]);
    }
    return spread;
  });
}

/** One answer with the place of its move in the model. */
interface Placed {
  readonly answer: Answer;
  readonly move: number;
  /** What it counts for: words from one memory share one word's weight. */
  readonly power: number;
}

/** Something that was done: the faults it may cure and those it may leave behind, by their places in the model. */
interface Work {
  readonly targets: readonly number[];
  readonly success: number;
  readonly brings: readonly { readonly places: readonly number[]; readonly chance: number }[];
}

/** What was done and found, epoch by epoch, looked up in the model once for all hypotheses. */
export interface Course {
  readonly epochs: readonly {
    readonly done: readonly Work[];
    readonly found: readonly Placed[];
    readonly isPowered: boolean;
  }[];
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
  const epochs = Array.from({ length: last + 1 }, (_, epoch) => {
    const found = answers
      .filter((answer) => answer.epoch === epoch && !isTold(model, answer))
      .map((answer) => ({ answer, move: moveIndex(model, answer) }));
    const words = found.filter(({ move }) => model.moves[move]?.kind === "question").length;
    const powerOf = (move: number): number => (model.moves[move]?.kind === "question" ? 1 / words : 1);
    return {
      done: interventions
        .filter((one) => one.epoch === epoch)
        .map(
          ({ faultIds, success, brings = [] }): Work => ({
            targets: indices(model, faultIds),
            success,
            brings: brings.map(({ faultId, chance }) => ({ places: indices(model, [faultId]), chance })),
          }),
        ),
      found: found.map((one): Placed => ({ ...one, power: powerOf(one.move) })),
      isPowered: found.some(({ move }) => (model.moves[move]?.power ?? "off") !== "off"),
    };
  });
  return { epochs };
}

/** What may be present now under one hypothesis, over what each intervention may have cured, weighed by what was found. */
export function branchesOf(model: Model, { faults, kind }: Hypothesis, course: Course): readonly Branch[] {
  let branches: Branch[] = [{ faults, cured: [], weight: 1 }];
  course.epochs.forEach(({ done, found, isPowered }, epoch) => {
    for (const { targets, success, brings } of done)
      branches = bringIn(model, intervene(model, branches, targets, success), brings);
    if (epoch > 0 && isPowered) branches = comeBack(model, branches);
    for (const { answer, move, power } of found)
      branches = branches.map((branch) => ({
        ...branch,
        weight:
          branch.weight *
          likelihoodOf(model, move, answer, stateWith(model.table, branch.faults, kind)) ** power,
      }));
  });
  return branches;
}

/** Likelihood of all that was found under one hypothesis. */
export function likelihood(model: Model, hypothesis: Hypothesis, course: Course): number {
  return branchesOf(model, hypothesis, course).reduce((sum, { weight }) => sum + weight, 0);
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
  const course = interventions.length > 0 ? courseOf(model, found, interventions) : undefined;
  const product = course
    ? Float64Array.from(model.hypotheses.all, (hypothesis) => likelihood(model, hypothesis, course))
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
  const { all } = model.hypotheses;
  const weights = likelihoods(model, answers, interventions);
  let sum = 0;
  for (let index = 0; index < weights.length; index += 1) {
    weights[index] = (weights[index] ?? 0) * (all[index]?.prior ?? 0);
    sum += weights[index] ?? 0;
  }
  if (!(sum > 0) || !Number.isFinite(sum)) return undefined;
  for (let index = 0; index < weights.length; index += 1) weights[index] = (weights[index] ?? 0) / sum;
  return weights;
}
