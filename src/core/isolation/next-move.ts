import { priceOfMinute } from "../cost/price-of-time";
import { type Standing, stateChangeMinutes } from "../cost/state-change-cost";
import { fixCost, fixSuccess, type Trial, trialCost } from "../cost/trial-cost";
import { limitOf } from "../knowledge/resolve-limits";
import type { Access, Limits, Move } from "../knowledge/types";
import { type Model, presentFaults } from "./belief";
import type { Intervention } from "./evidence";
import type { Circumstance } from "./power-path";

/** What a move would be worth, and what each of its answers would do. */
export interface RatedMove {
  readonly moveId: string;
  readonly kind: Move["kind"];
  readonly tier: Move["tier"];
  readonly minutes: number;
  /** Minutes from the way the machine stands to the state that the move needs. */
  readonly stateMinutes: number;
  /** Expected cost from here when this is done first, then repairs are tried; minor units, unrounded. */
  readonly expectedTotal: number;
  /** What it saves against trying repairs now, for each minute it takes; minor units. */
  readonly savesPerMinute: number;
  readonly answers: readonly {
    readonly outcomeId: string;
    readonly chance: number;
    readonly then: readonly string[];
  }[];
  readonly needs: Move["needs"];
  readonly blockedBy: readonly string[];
}

export interface MoveAdvice {
  readonly moves: readonly RatedMove[];
  /** Cost of trying repairs now, in the order of chance ÷ cost. */
  readonly trialCost: number;
  /** Whether no move left costs less than trying. */
  readonly isStopAdvised: boolean;
  /** Whether a live move is offered because no unplugged one could change what is done. */
  readonly isTierRaised: boolean;
}

export interface MoveGround {
  readonly limits: Limits;
  readonly access: readonly Access[];
  readonly standing: Standing;
  readonly circumstance: Circumstance;
  readonly rankingRatePerHourMinor: number | undefined;
  /** What is paid in the end when no repair cures: the machine's worth. */
  readonly giveUp: number;
  /** Reasons that stand against any live move now. */
  readonly liveBlocks: readonly string[];
  readonly interventions: readonly Intervention[];
}

/** Hypotheses gathered by what would be repaired: the roots. */
interface RootGroups {
  readonly groupOf: Int32Array;
  readonly roots: readonly (readonly number[])[];
  readonly cost: Float64Array;
  readonly success: Float64Array;
}

export function rootGroups(model: Model, minuteMinor: number): RootGroups {
  const { all, faults } = model.hypotheses;
  const numbers = new Map<string, number>();
  const roots: (readonly number[])[] = [];
  const groupOf = Int32Array.from(all, (hypothesis) => {
    const key = hypothesis.roots.join(",");
    const known = numbers.get(key);
    if (known !== undefined) return known;
    numbers.set(key, roots.length);
    roots.push(hypothesis.roots);
    return roots.length - 1;
  });
  const faultsOf = (group: readonly number[]) => group.flatMap((index) => faults[index] ?? []);
  return {
    groupOf,
    roots,
    cost: Float64Array.from(roots, (group) => fixCost(faultsOf(group), minuteMinor)),
    success: Float64Array.from(roots, (group) => fixSuccess(faultsOf(group))),
  };
}

function byGroup(groups: RootGroups, belief: Float64Array): Float64Array {
  const chances = new Float64Array(groups.roots.length);
  belief.forEach((chance, index) => {
    const group = groups.groupOf[index] ?? 0;
    chances[group] = (chances[group] ?? 0) + chance;
  });
  return chances;
}

const LEAST_CHANCE = 1e-4;
/** Hypotheses lighter than this change no ranking: they are left out of the look-ahead only. */
const NEGLIGIBLE = 1e-9;

function costOfTrying(groups: RootGroups, chances: Float64Array, scale: number, giveUp: number): number {
  const trials: Trial[] = [];
  chances.forEach((chance, group) => {
    const share = chance / scale;
    if (share > LEAST_CHANCE)
      trials.push({ cost: groups.cost[group] ?? 0, cures: share * (groups.success[group] ?? 0) });
  });
  return trialCost(trials, giveUp);
}

function leaders(model: Model, groups: RootGroups, chances: Float64Array, scale: number): string[] {
  const order = [...chances.keys()].sort((one, other) => (chances[other] ?? 0) - (chances[one] ?? 0));
  const named: string[] = [];
  let sum = 0;
  for (const group of order) {
    if (sum > 0.8 || named.length === 3) break;
    sum += (chances[group] ?? 0) / scale;
    named.push(
      (groups.roots[group] ?? []).map((index) => model.hypotheses.faults[index]?.id ?? "").join("+"),
    );
  }
  return named;
}

/** Weights of each answer by root group: one pass over the hypotheses. */
function answerWeights(
  model: Model,
  groups: RootGroups,
  belief: Float64Array,
  states: Int32Array,
  move: number,
  ground: MoveGround,
): Float64Array[] {
  const weights = (model.moves[move]?.outcomes ?? []).map(() => new Float64Array(groups.roots.length));
  belief.forEach((chance, index) => {
    if (chance < NEGLIGIBLE) return;
    const group = groups.groupOf[index] ?? 0;
    const row = model.table.row(move, states[index] ?? 0, ground.circumstance);
    weights.forEach((one, outcome) => {
      one[group] = (one[group] ?? 0) + chance * (row[outcome] ?? 0);
    });
  });
  return weights;
}

function rate(
  model: Model,
  groups: RootGroups,
  belief: Float64Array,
  states: Int32Array,
  index: number,
  ground: MoveGround,
  tryNow: number,
): RatedMove | undefined {
  const move = model.moves[index];
  if (!move) return undefined;
  const minuteMinor = priceOfMinute(ground.rankingRatePerHourMinor, ground.limits);
  const stateMinutes = stateChangeMinutes(move, ground.standing, ground.access, ground.limits);
  const minutes = move.minutes + stateMinutes;
  const weights = answerWeights(model, groups, belief, states, index, ground);
  const chances = weights.map((one) => one.reduce((sum, weight) => sum + weight, 0));
  const after = weights.reduce((sum, one, outcome) => {
    const chance = chances[outcome] ?? 0;
    return chance <= 0 ? sum : sum + chance * costOfTrying(groups, one, chance, ground.giveUp);
  }, 0);
  const expectedTotal = (minutes + move.hazardMinutes) * minuteMinor + after;
  return {
    moveId: move.id,
    kind: move.kind,
    tier: move.tier,
    minutes: move.minutes,
    stateMinutes,
    expectedTotal,
    savesPerMinute: (tryNow - expectedTotal) / minutes,
    answers: move.outcomes.map((outcomeId, outcome) => ({
      outcomeId,
      chance: chances[outcome] ?? 0,
      // biome-ignore lint/suspicious/noThenProperty: the contract names it so, and it is data, never awaited
      then: leaders(model, groups, weights[outcome] ?? new Float64Array(), chances[outcome] || 1),
    })),
    needs: move.needs,
    blockedBy: move.tier > 1 ? ground.liveBlocks : [],
  };
}

/**
 * The next move by least expected total cost: the move, the way to the state it needs, then repairs in the order of
 * chance ÷ cost. Tiers come before cost: a live move comes first only when no unplugged one is worth its price.
 * A move of no worth is not offered.
 */
export function adviseMoves(
  model: Model,
  belief: Float64Array,
  asked: ReadonlySet<string>,
  ground: MoveGround,
): MoveAdvice {
  const groups = rootGroups(model, priceOfMinute(ground.rankingRatePerHourMinor, ground.limits));
  const states =
    ground.interventions.length === 0
      ? model.states
      : Int32Array.from(model.hypotheses.all, (hypothesis) =>
          model.table.stateOf(presentFaults(model, hypothesis, ground.interventions)),
        );
  const tryNow = costOfTrying(groups, byGroup(groups, belief), 1, ground.giveUp);
  const leastWorth = limitOf(ground.limits, "least-move-worth").value;
  const rated = model.moves.flatMap((move, index) => {
    if (asked.has(move.id)) return [];
    const one = rate(model, groups, belief, states, index, ground, tryNow);
    return one && tryNow - one.expectedTotal > leastWorth * tryNow ? [one] : [];
  });
  const inOrder = rated.sort(
    (one, other) => one.tier - other.tier || one.expectedTotal - other.expectedTotal,
  );
  const first = inOrder[0];
  return {
    moves: inOrder,
    trialCost: tryNow,
    isStopAdvised: first === undefined,
    isTierRaised: first !== undefined && first.tier > 1,
  };
}
