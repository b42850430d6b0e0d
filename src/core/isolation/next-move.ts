import { priceOfMinute } from "../cost/price-of-time";
import { type Standing, stateChangeMinutes } from "../cost/state-change-cost";
import { limitOf } from "../knowledge/resolve-limits";
import type { Access, Limits, Move, Repair } from "../knowledge/types";
import { type Model, presentFaults } from "./belief";
import type { Intervention } from "./evidence";
import type { Circumstance } from "./power-path";
import { BranchSums, type PartPrices, type RepairGroups, repairGroups } from "./repair-groups";

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

/** A repair, or a set done together, that could be tried now. */
export interface RatedTrial {
  readonly repairs: readonly string[];
  /** Chance that this is what is wrong. */
  readonly chance: number;
  /** The same, times the chance that the repair cures it. */
  readonly cures: number;
  /** Expected, minor units, unrounded: what the faults brought about is repaired with them. */
  readonly cost: number;
  /** The minutes in it, and the parts, minor units. */
  readonly minutes: number;
  readonly partMinor: number;
}

export interface MoveAdvice {
  readonly moves: readonly RatedMove[];
  readonly trials: readonly RatedTrial[];
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
  readonly repairs: readonly Repair[];
  readonly prices: PartPrices;
  readonly standing: Standing;
  readonly circumstance: Circumstance;
  readonly rankingRatePerHourMinor: number | undefined;
  /** What is paid in the end when no repair cures: the machine's worth. */
  readonly giveUp: number;
  /** Reasons that stand against any live move now. */
  readonly liveBlocks: readonly string[];
  readonly interventions: readonly Intervention[];
}

/** Hypotheses lighter than this change no ranking: they are left out of the look-ahead only. */
const NEGLIGIBLE = 1e-9;

/** Hypotheses by their roots: what an answer's suspects are named by. */
interface RootNames {
  readonly numberOf: Int32Array;
  readonly names: readonly string[];
}

function rootNames({ hypotheses: { all, faults } }: Model): RootNames {
  const numbers = new Map<string, number>();
  const numberOf = Int32Array.from(all, ({ roots }) => {
    const name = roots.map((index) => faults[index]?.id ?? "").join("+");
    const known = numbers.get(name) ?? numbers.size;
    numbers.set(name, known);
    return known;
  });
  return { numberOf, names: [...numbers.keys()] };
}

function leaders({ names }: RootNames, chances: Float64Array, scale: number): string[] {
  const order = [...chances.keys()].sort((one, other) => (chances[other] ?? 0) - (chances[one] ?? 0));
  const named: string[] = [];
  let sum = 0;
  for (const number of order) {
    if (sum > 0.8 || named.length === 3) break;
    sum += (chances[number] ?? 0) / scale;
    named.push(names[number] ?? "");
  }
  return named;
}

/** What the ranking works on: the belief, gathered the ways it is asked for. */
interface Ranking {
  readonly model: Model;
  readonly belief: Float64Array;
  /** Number in the outcome table of what is present now under each hypothesis. */
  readonly states: Int32Array;
  readonly groups: RepairGroups;
  readonly roots: RootNames;
}

interface Branch {
  readonly sums: BranchSums;
  readonly byRoots: Float64Array;
}

/** Each answer of a move as a branch: one pass over the hypotheses. */
function branchesOf(
  { model, belief, states, groups, roots }: Ranking,
  move: number,
  ground: MoveGround,
): Branch[] {
  const branches = (model.moves[move]?.outcomes ?? []).map(
    (): Branch => ({ sums: new BranchSums(groups), byRoots: new Float64Array(roots.names.length) }),
  );
  belief.forEach((chance, index) => {
    if (chance < NEGLIGIBLE) return;
    const root = roots.numberOf[index] ?? 0;
    const row = model.table.row(move, states[index] ?? 0, ground.circumstance);
    branches.forEach(({ sums, byRoots }, outcome) => {
      const weight = chance * (row[outcome] ?? 0);
      sums.add(index, weight);
      byRoots[root] = (byRoots[root] ?? 0) + weight;
    });
  });
  return branches;
}

function rate(ranking: Ranking, index: number, ground: MoveGround, tryNow: number): RatedMove | undefined {
  const move = ranking.model.moves[index];
  if (!move) return undefined;
  const minuteMinor = priceOfMinute(ground.rankingRatePerHourMinor, ground.limits);
  const stateMinutes = stateChangeMinutes(move, ground.standing, ground.access, ground.limits);
  const minutes = move.minutes + stateMinutes;
  const branches = branchesOf(ranking, index, ground);
  const chances = branches.map(({ byRoots }) => byRoots.reduce((sum, weight) => sum + weight, 0));
  const after = branches.reduce((sum, { sums }, outcome) => {
    const chance = chances[outcome] ?? 0;
    return chance <= 0 ? sum : sum + chance * sums.costOfTrying(chance, ground.giveUp);
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
      then: leaders(ranking.roots, branches[outcome]?.byRoots ?? new Float64Array(), chances[outcome] || 1),
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
  const { interventions, repairs, prices } = ground;
  const minuteMinor = priceOfMinute(ground.rankingRatePerHourMinor, ground.limits);
  const ranking: Ranking = {
    model,
    belief,
    states:
      interventions.length === 0
        ? model.states
        : Int32Array.from(model.hypotheses.all, (hypothesis) =>
            model.table.stateOf(presentFaults(model, hypothesis, interventions)),
          ),
    groups: repairGroups(model, interventions, repairs, prices, minuteMinor),
    roots: rootNames(model),
  };
  const now = new BranchSums(ranking.groups);
  for (const [index, chance] of belief.entries()) now.add(index, chance);
  const trials = now.trials(1);
  const tryNow = now.costOfTrying(1, ground.giveUp);
  const leastWorth = limitOf(ground.limits, "least-move-worth").value;
  const rated = model.moves.flatMap((move, index) => {
    if (asked.has(move.id)) return [];
    const one = rate(ranking, index, ground, tryNow);
    return one && tryNow - one.expectedTotal > leastWorth * tryNow ? [one] : [];
  });
  const inOrder = rated.sort(
    (one, other) => one.tier - other.tier || one.expectedTotal - other.expectedTotal,
  );
  const first = inOrder[0];
  return {
    moves: inOrder,
    trials: trials
      .map(
        ({ group, chance, cures, cost, minutes }): RatedTrial => ({
          repairs: ranking.groups.repairs[group] ?? [],
          chance,
          cures,
          cost,
          minutes,
          partMinor: cost - minutes * minuteMinor,
        }),
      )
      .sort((one, other) => other.cures / other.cost - one.cures / one.cost),
    trialCost: tryNow,
    isStopAdvised: first === undefined,
    isTierRaised: first !== undefined && first.tier > 1,
  };
}
