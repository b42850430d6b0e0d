import type { Circumstance } from "../knowledge/circumstances";
import { keysOf } from "../knowledge/modes";
import type { Parameters } from "../knowledge/parameters";
import type { Fault, Move, MoveCase } from "../knowledge/types";
import { whenText } from "../knowledge/when";
import { meets } from "./outcome-table";
import { machineState, type PathKnowledge } from "./power-path";

/** What the shop's own closed jobs have shown. */
export interface ShopCounts {
  readonly jobs: readonly { readonly family: string; readonly count: number }[];
  readonly faults: readonly { readonly family: string; readonly fault: string; readonly count: number }[];
  readonly answers: readonly {
    readonly moveId: string;
    /** The case that held, as its page writes it. */
    readonly case: string;
    readonly outcomeId: string;
    readonly count: number;
  }[];
}

/** A closed job as far as it teaches: what was wrong, how sure that is, and what was answered before anything was done. */
export interface ClosedJob {
  readonly family: string;
  /** Roots shown by a direct proof count once; a root that was only cured by a repair that held counts half. */
  readonly roots: readonly { readonly fault: string; readonly isProven: boolean }[];
  /** Everything that was wrong, consequences included. */
  readonly present: readonly string[];
  readonly answers: readonly {
    readonly moveId: string;
    readonly outcomeId: string;
    readonly circumstance: Circumstance;
  }[];
}

const CURED_ONLY = 0.5;

function bump(map: Map<string, number>, key: readonly string[], by: number): void {
  const name = JSON.stringify(key);
  map.set(name, (map.get(name) ?? 0) + by);
}

/** Everything that was wrong, in every way it can show: which of them it was, a closed job does not say. */
function inEveryMode(present: readonly string[], { faults }: PathKnowledge): readonly (readonly string[])[] {
  return present.reduce<readonly (readonly string[])[]>(
    (lists, id) => {
      const fault = faults.find((one) => one.id === id);
      const keys = fault ? keysOf(fault) : [id];
      return lists.flatMap((list) => keys.map((key) => [...list, key]));
    },
    [[]],
  );
}

/**
 * What a shop's closed jobs add up to. A job counts once, however many roots it had: they share it.
 * Answers are counted in the case that held under what was wrong, for proven jobs only, and only where every way in which
 * it can show comes to the same case.
 */
export function countsOf(
  jobs: readonly ClosedJob[],
  knowledge: PathKnowledge & { readonly moves: readonly Move[] },
): ShopCounts {
  const [families, faults, answers] = [
    new Map<string, number>(),
    new Map<string, number>(),
    new Map<string, number>(),
  ];
  const moves = new Map(knowledge.moves.map((move) => [move.id, move]));
  for (const { family, roots, present, answers: given } of jobs) {
    if (roots.length === 0) continue;
    let worth = 0;
    for (const { fault, isProven } of roots) {
      const share = (isProven ? 1 : CURED_ONLY) / roots.length;
      bump(faults, [family, fault], share);
      worth += share;
    }
    bump(families, [family], worth);
    if (!roots.every(({ isProven }) => isProven)) continue;
    for (const { moveId, outcomeId, circumstance } of given) {
      const cases = moves.get(moveId)?.cases ?? [];
      const held = inEveryMode(present, knowledge).map((keys) => {
        const state = machineState(keys, circumstance, knowledge);
        return cases.find(({ when }) => meets(when, state));
      });
      const [one] = held;
      if (one && held.every((other) => other === one))
        bump(answers, [moveId, whenText(one.when), outcomeId], 1);
    }
  }
  const rows = (map: Map<string, number>): [string[], number][] =>
    [...map].map(([name, count]) => [JSON.parse(name), count]);
  return {
    jobs: rows(families).map(([[family = ""], count]) => ({ family, count })),
    faults: rows(faults).map(([[family = "", fault = ""], count]) => ({ family, fault, count })),
    answers: rows(answers).map(([[moveId = "", key = "", outcomeId = ""], count]) => ({
      moveId,
      case: key,
      outcomeId,
      count,
    })),
  };
}

/** A case with the shop's own answers added: the shipped chances are worth `strength` answers. */
function countedCase(one: MoveCase, counted: ReadonlyMap<string, number>, strength: number): MoveCase {
  const all = [...counted.values()].reduce((sum, count) => sum + count, 0);
  return {
    ...one,
    chances: Object.fromEntries(
      Object.entries(one.chances).map(([id, chance]) => [
        id,
        { ...chance, p: (chance.p * strength + (counted.get(id) ?? 0)) / (strength + all) },
      ]),
    ),
  };
}

/** Knowledge as the shop's counts leave it: the shipped chances are worth a number of jobs, the counts are added to them. */
export function withCounts<K extends { readonly faults: readonly Fault[]; readonly moves: readonly Move[] }>(
  knowledge: K,
  counts: ShopCounts,
  parameters: Parameters,
): K {
  const faultStrength = parameters["fault-counts-strength"];
  const answerStrength = parameters["answer-counts-strength"];
  const totals = new Map<string, number>();
  for (const { odds } of knowledge.faults)
    for (const [family, one] of Object.entries(odds)) totals.set(family, (totals.get(family) ?? 0) + one);
  const jobsOf = new Map(counts.jobs.map(({ family, count }) => [family, count]));
  const faultOf = new Map(counts.faults.map(({ family, fault, count }) => [`${family} ${fault}`, count]));
  const moved = (family: string, fault: string, odds: number): number => {
    const share = odds / (totals.get(family) ?? 1);
    const jobs = jobsOf.get(family) ?? 0;
    if (jobs === 0) return odds;
    const counted =
      (share * faultStrength + (faultOf.get(`${family} ${fault}`) ?? 0)) / (faultStrength + jobs);
    return counted * (totals.get(family) ?? 1);
  };
  const answered = new Map<string, Map<string, number>>();
  for (const { moveId, case: key, outcomeId, count } of counts.answers) {
    const of = answered.get(`${moveId} ${key}`) ?? new Map<string, number>();
    of.set(outcomeId, (of.get(outcomeId) ?? 0) + count);
    answered.set(`${moveId} ${key}`, of);
  }
  return {
    ...knowledge,
    faults: knowledge.faults.map((fault) => ({
      ...fault,
      odds: Object.fromEntries(
        Object.entries(fault.odds).map(([family, odds]) => [family, moved(family, fault.id, odds)]),
      ),
    })),
    moves: knowledge.moves.map((move) => ({
      ...move,
      cases: move.cases.map((one) => {
        const of = answered.get(`${move.id} ${whenText(one.when)}`);
        return of ? countedCase(one, of, answerStrength) : one;
      }),
    })),
  };
}
