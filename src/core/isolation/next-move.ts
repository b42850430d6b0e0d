import { priceOfMinute } from "../cost/price-of-time";
import { type MachineState, machineStateAfter, stateChangeMinutes } from "../cost/state-change-cost";
import { trialCost } from "../cost/trial-cost";
import type { Circumstance } from "../knowledge/circumstances";
import type { MachineRepair } from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { Access, Move } from "../knowledge/types";
import { answersOf, bitsAfter, bitsNow } from "./answers";
import { after, type Field, fieldOf, trialsOf, type Weights } from "./field";
import type { Model } from "./model";
import { atHandFirst, type Priced, readiestOfEqual, withProof } from "./move-order";
import { lookAt, type NextLook, type RatedTrial, ratedTrials } from "./next-look";
import type { RatedMove } from "./rated-move";
import { type Renewed, withRenewed } from "./renewed-with";
import { type PartPrices, repairGroups } from "./repair-groups";

export interface MoveAdvice {
  readonly moves: readonly RatedMove[];
  /** Null where no move is worth its price. */
  readonly next: NextLook | null;
  readonly trials: readonly RatedTrial[];
  /** Cost of trying repairs now, in the order of chance ÷ cost. */
  readonly trialCost: number;
  /** Whether no move left costs less than trying. */
  readonly isStopAdvised: boolean;
  /** Whether a live move is offered because no unplugged one could change what is done. */
  readonly isTierRaised: boolean;
}

export interface MoveContext {
  readonly parameters: Parameters;
  readonly access: readonly Access[];
  readonly repairs: readonly MachineRepair[];
  readonly prices: PartPrices;
  readonly machineState: MachineState;
  readonly circumstance: Circumstance;
  readonly rankingRatePerHourMinor: number | undefined;
  /** What is paid in the end when no repair cures: the machine's worth. */
  readonly giveUp: number;
  /** How many moves ahead the best few are worked out. */
  readonly lookAhead: 1 | 2;
  /** Moves that would prove the leading suspect while it is unproved. */
  readonly proofs?: readonly string[] | undefined;
  /** Chance of the leading suspect. */
  readonly leading?: number | undefined;
  /** Repairs of what the leading suspect brought about, made together with its cure. */
  readonly renewed?: Renewed | undefined;
  /** The leading suspect, or one with the same cure, was read directly. */
  readonly isProven?: boolean | undefined;
  /** Nothing was found yet: all that is known was told. */
  readonly isTold?: boolean | undefined;
  /** The instrument that a move asks for and that is not in the shop. */
  readonly lacks?: (move: Move) => string | undefined;
  /** What a move waits for. */
  readonly blocksOf: (move: Move) => readonly string[];
}

/** Moves that are worked out two steps ahead: the best by one step. */
const CANDIDATES = 8;

/** What the ranking works on. */
interface Ranking {
  readonly model: Model;
  readonly field: Field;
  readonly now: Weights;
  readonly context: MoveContext;
  readonly minuteMinor: number;
  readonly asked: ReadonlySet<string>;
  /** Number of the roots of each place of the field. */
  readonly roots: Int32Array;
  /** Doubt about the repair now, bits. */
  readonly bits: number;
}

/** A move as far as one step tells. */
interface Rated {
  readonly index: number;
  readonly move: Move;
  readonly stateMinutes: number;
  /** Price of the move and the way to it. */
  readonly price: number;
  readonly total: number;
  /** Chance of each answer, and what trying repairs after it costs, weighed by that chance. */
  readonly chance: Float64Array;
  readonly tryAfter: Float64Array;
}

function rate(
  { model, field, context, minuteMinor }: Ranking,
  now: Weights,
  index: number,
  machineState: MachineState,
): Rated | undefined {
  const move = model.moves[index];
  if (!move) return undefined;
  const stateMinutes = stateChangeMinutes(move, machineState, context.access, context.parameters);
  const price = (move.minutes + stateMinutes + move.hazardMinutes) * minuteMinor;
  const { chance, tryAfter } = answersOf(field, now, index, context.giveUp);
  const total = price + tryAfter.reduce((sum, one) => sum + one, 0);
  return { index, move, stateMinutes, price, total, chance, tryAfter };
}

/**
 * The same move with the best that can follow each of its answers: another move, or trying repairs. A live move is
 * weighed as the second only after a live first one, since tiers come before cost.
 */
function twoSteps(ranking: Ranking, first: Rated): number {
  const { model, field, now, context, asked } = ranking;
  const machineState = machineStateAfter(first.move, context.machineState);
  const { chance, tryAfter } = first;
  let total = first.price;
  chance.forEach((share, outcome) => {
    if (share <= 0) return;
    const branch = after(field, now, first.index, outcome);
    let best = (tryAfter[outcome] ?? 0) / share;
    for (const [index, move] of model.moves.entries()) {
      if (index === first.index || asked.has(move.id) || move.tier > first.move.tier) continue;
      const second = rate(ranking, branch, index, machineState);
      if (second && second.total < best) best = second.total;
    }
    total += share * best;
  });
  return total;
}

/** Roots of each hypothesis as a number, once a model. */
interface RootNames {
  readonly numberOf: Int32Array;
  readonly names: readonly (readonly string[])[];
}

const keptNames = new WeakMap<Model, RootNames>();

function rootNames(model: Model): RootNames {
  const known = keptNames.get(model);
  if (known) return known;
  const { all, faults } = model.hypotheses;
  const numbers = new Map<string, number>();
  const names: string[][] = [];
  const numberOf = Int32Array.from(all, ({ roots }) => {
    const ids = roots.map((index) => faults[index]?.id ?? "");
    const key = ids.join();
    const number = numbers.get(key) ?? names.length;
    if (number === names.length) names.push(ids);
    numbers.set(key, number);
    return number;
  });
  const made = { numberOf, names };
  keptNames.set(model, made);
  return made;
}

const LEADERS = 3;

/** Weight of each root set after an answer: room that is written anew for each. */
let rootWeights = new Float64Array(0);

function heaviest(weights: Float64Array, count: number): number {
  let best = 0;
  let most = weights[0] ?? 0;
  for (let number = 1; number < count; number += 1) {
    const weight = weights[number] ?? 0;
    if (weight <= most) continue;
    best = number;
    most = weight;
  }
  return best;
}

/** The few root sets that would carry most of the doubt after an answer. */
function leaders({ model, field, now, roots }: Ranking, move: number, outcome: number): string[] {
  const { names } = rootNames(model);
  if (rootWeights.length < names.length) rootWeights = new Float64Array(names.length);
  const weights = rootWeights.fill(0, 0, names.length);
  const cases = field.cases[move] ?? new Int32Array();
  // One look-up a case, not one a place.
  const shares = Float64Array.from(field.rows[move] ?? [], (row) => row[outcome] ?? 0);
  let total = 0;
  for (let place = 0; place < field.size; place += 1) {
    const weight = (now.of[place] ?? 0) * (shares[cases[place] ?? 0] ?? 0);
    const number = roots[place] ?? 0;
    weights[number] = (weights[number] ?? 0) + weight;
    total += weight;
  }
  const named: string[] = [];
  let sum = 0;
  while (sum <= 0.8 && named.length < LEADERS) {
    const number = heaviest(weights, names.length);
    const weight = weights[number] ?? 0;
    if (weight <= 0) break;
    sum += weight / total;
    named.push((names[number] ?? []).join("+"));
    weights[number] = 0;
  }
  return named;
}

function ratedMove(
  ranking: Ranking,
  { index, move, stateMinutes, chance }: Rated,
  total: number,
  saves: number,
): RatedMove {
  const { context, bits, field, now } = ranking;
  return {
    moveId: move.id,
    kind: move.kind,
    tier: move.tier,
    minutes: move.minutes,
    stateMinutes,
    expectedTotal: total,
    doubtRemoved: bits > 0 ? Math.max(0, 1 - bitsAfter(field, now, index) / bits) : 0,
    savesPerMinute: saves / (move.minutes + stateMinutes),
    answers: move.outcomes.map((outcomeId, outcome) => ({
      outcomeId,
      chance: chance[outcome] ?? 0,
      // biome-ignore lint/suspicious/noThenProperty: the contract names it so, and it is data, never awaited
      then: leaders(ranking, index, outcome),
    })),
    needs: move.needs,
    ...withLack(context.lacks?.(move)),
    blockedBy: context.blocksOf(move),
  };
}

function withLack(lacks: string | undefined): Pick<RatedMove, "lacks"> {
  return lacks === undefined ? {} : { lacks };
}

function rankingOf(model: Model, belief: Float64Array, asked: ReadonlySet<string>, context: MoveContext) {
  const { repairs, prices } = context;
  const minuteMinor = priceOfMinute(context.rankingRatePerHourMinor, context.parameters);
  const groups = repairGroups(model, repairs, prices, minuteMinor, context.parameters);
  const laid = fieldOf(model, belief, groups, context.circumstance);
  const { numberOf } = rootNames(model);
  const roots = laid.field.hypothesis.map((hypothesis) => numberOf[hypothesis] ?? 0);
  const ranking: Ranking = {
    model,
    ...laid,
    context,
    minuteMinor,
    asked,
    roots,
    bits: bitsNow(laid.field, laid.now),
  };
  return { ranking, groups };
}

/** Moves that are worth their price, the unplugged first, then by what all comes to in the end. */
function worthwhile(ranking: Ranking, open: readonly Rated[], tryNow: number): Priced[] {
  const { context } = ranking;
  // Once a thing is proven the questions end: what saves less than a few minutes is not asked any more.
  const bound = context.isProven === true ? context.parameters["near-tie-minutes"] * ranking.minuteMinor : 0;
  const least = Math.max(context.parameters["least-move-worth"] * tryNow, bound);
  const isWorth = (total: number, without: number): boolean => without - total > least;
  return open
    .flatMap((one, place): Priced[] => {
      const isCandidate = place < CANDIDATES || context.proofs?.includes(one.move.id) === true;
      const isRefined = context.lookAhead === 2 && isCandidate;
      const total = isRefined ? Math.min(one.total, twoSteps(ranking, one)) : one.total;
      // What the best single move, or trying now, would cost without this one: only what is gained on that is its own.
      const others = open.filter((other) => other !== one && other.move.tier <= one.move.tier);
      const without = Math.min(tryNow, ...others.map((other) => other.total));
      if (!isWorth(one.total, tryNow) && !isWorth(total, without)) return [];
      // What follows a move is not its own merit: a minute is priced by what the move itself saves.
      const saves = Math.max(tryNow - one.total, without - total);
      const minutes = one.move.minutes + one.stateMinutes + one.move.hazardMinutes;
      return [{ rated: ratedMove(ranking, one, total, saves), minutes, isRefined }];
    })
    .sort(
      (one, other) =>
        one.rated.tier - other.rated.tier ||
        Number(other.isRefined) - Number(one.isRefined) ||
        one.rated.expectedTotal - other.rated.expectedTotal,
    );
}

/** The cheapest and safest move that would prove the leading suspect. */
function proofAmong(ranking: Ranking, open: readonly Rated[], tryNow: number): RatedMove | undefined {
  const [proof] = open
    .filter(({ move }) => ranking.context.proofs?.includes(move.id))
    .sort(
      (one, other) =>
        Number(ranking.context.lacks?.(one.move) !== undefined) -
          Number(ranking.context.lacks?.(other.move) !== undefined) ||
        one.move.tier - other.move.tier ||
        one.total - other.total,
    );
  return proof && ratedMove(ranking, proof, proof.total, Math.max(0, tryNow - proof.total));
}

/**
 * The next move by least expected total cost: the move, the way to the state it needs, then the best that can follow,
 * or repairs in the order of chance ÷ cost. Tiers come before cost: a live move comes first only when no unplugged one
 * is worth its price. A move of no worth is not offered.
 */
export function adviseMoves(
  model: Model,
  belief: Float64Array,
  asked: ReadonlySet<string>,
  context: MoveContext,
): MoveAdvice {
  const { ranking, groups } = rankingOf(model, belief, asked, context);
  const { field, now, minuteMinor } = ranking;
  const trials = withRenewed(trialsOf(field, now), groups.repairs, context.renewed);
  const tryNow = trialCost(trials, context.giveUp);
  const open = model.moves
    .flatMap((move, index) =>
      asked.has(move.id) ? [] : (rate(ranking, now, index, context.machineState) ?? []),
    )
    .sort((one, other) => one.move.tier - other.move.tier || one.total - other.total);
  const questionsAsked = model.moves.filter(
    ({ id, kind, isSign }) => kind === "question" && isSign !== true && asked.has(id),
  ).length;
  const worthIt = readiestOfEqual(
    worthwhile(ranking, open, tryNow),
    context.parameters["near-tie-minutes"] * minuteMinor,
    questionsAsked,
  );
  const proof = proofAmong(ranking, open, tryNow);
  const rated = worthIt.find(({ moveId }) => moveId === proof?.moveId) ?? proof;
  const inOrder = atHandFirst(withProof(worthIt, rated, context.leading ?? 0));
  const first = inOrder[0];
  // Nothing is tried on a told story alone.
  const isStopAdvised = worthIt.length === 0 && (context.isTold !== true || first === undefined);
  return {
    moves: inOrder,
    trials: ratedTrials(trials, groups, minuteMinor),
    next: lookAt(
      open.find(({ move }) => move.id === worthIt[0]?.moveId),
      field,
      now,
      (all) => ratedTrials(all, groups, minuteMinor),
    ),
    trialCost: tryNow,
    isStopAdvised,
    isTierRaised: first !== undefined && first.tier > 1,
  };
}
