// One family's share of the first report, as JSON on standard output: tsx scripts/isolation/family-report.ts family machines

import { shopKnowledge } from "@/server/services/knowledge";
import { type Bench, begin, benchFor, type Hidden, hide } from "./machine";
import { type Moved, movedChances } from "./moved-chances";
import {
  advice,
  cheapest,
  checklist,
  information,
  informationOurStop,
  ours,
  type Policy,
  remembered,
} from "./policies";
import { mean, type Run, run, runToThresholds, THRESHOLDS } from "./run";

export interface Way {
  readonly name: string;
  readonly stopsAt?: number;
  readonly machines: number;
  readonly rootFirst: number;
  readonly cureFirst: number;
  readonly cost: number;
  readonly moves: number;
  readonly minutes: number;
  readonly live: number;
}

export interface FamilyReport {
  readonly family: string;
  readonly ways: readonly Way[];
  /** Ours over the same machines: what was stated of the first root, and whether it was right. */
  readonly stated: readonly { readonly chance: number; readonly exact: boolean }[];
  /** Cost two steps ahead against one step, on the same machines. */
  readonly twoAgainstOne: number;
  /** How often two steps ahead named the root first. */
  readonly losses: Readonly<Record<Moved, number>>;
  readonly model: {
    readonly faults: number;
    readonly moves: number;
    readonly hypotheses: number;
    readonly sets: number;
    readonly kilobytes: number;
  };
}

/** The baselines' stop is chosen on other machines than they are measured on. */
const TUNING_FROM = 900_001;

export function seeds(from: number, many: number): number[] {
  return Array.from({ length: many }, (_, index) => from + index * 7919);
}

function wayOf(name: string, runs: readonly Run[], stopsAt?: number): Way {
  const of = (pick: (one: Run) => number): number => mean(runs.map(pick));
  return {
    name,
    ...(stopsAt === undefined ? {} : { stopsAt }),
    machines: runs.length,
    rootFirst: of(({ exact }) => Number(exact)),
    cureFirst: of(({ cure }) => Number(cure)),
    cost: of(({ cost }) => cost),
    moves: of(({ moves }) => moves),
    minutes: of(({ minutes }) => minutes),
    live: of(({ live }) => live),
  };
}

/** A baseline with the stop that was cheapest on the tuning machines. */
function tunedWay(
  name: string,
  bench: Bench,
  policy: Policy,
  test: readonly Hidden[],
  tuning: readonly Hidden[],
): Way {
  const over = (machines: readonly Hidden[]): (readonly Run[])[] =>
    machines.map((hidden) => runToThresholds(bench, hidden, policy));
  const tuned = over(tuning);
  const costs = THRESHOLDS.map((_, at) => mean(tuned.map((runs) => runs[at]?.cost ?? 0)));
  const best = costs.indexOf(Math.min(...costs));
  return wayOf(
    name,
    over(test).flatMap((runs) => runs[best] ?? []),
    THRESHOLDS[best],
  );
}

/** Bytes in use once what is not needed any more is swept away; needs --expose-gc. */
function memory(): number {
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}

export function familyReport(family: string, machines: number): FamilyReport {
  const knowledge = shopKnowledge();
  const before = memory();
  const bench = benchFor(family, knowledge);
  advice(bench, begin(bench, hide(bench, 1)), 1);
  const kilobytes = Math.round((memory() - before) / 1024);
  const hiddenFrom = (from: number, many: number): Hidden[] =>
    seeds(from, many).map((seed) => hide(bench, seed));
  const test = hiddenFrom(1, machines);
  const tuning = hiddenFrom(TUNING_FROM, Math.max(10, Math.round(machines / 4)));
  const few = test.slice(0, Math.max(10, Math.round(machines / 4)));
  const runs = (policy: Policy, on: readonly Hidden[], by: Bench = bench): Run[] =>
    on.map((hidden) => run(by, hidden, policy));
  const own = runs(ours(1), test);
  const two = runs(ours(2), few);
  const moved = (how: Moved): number => {
    const other = benchFor(family, movedChances(knowledge, how, 20_261));
    return mean(runs(ours(1), test, other).map(({ cost }) => cost)) / mean(own.map(({ cost }) => cost)) - 1;
  };
  return {
    family,
    ways: [
      wayOf("ours", own),
      wayOf("ours, two steps ahead", two),
      tunedWay("(a) fixed checklist", bench, checklist(bench), test, tuning),
      tunedWay("(b) cheapest first", bench, cheapest, test, tuning),
      tunedWay("(c) most information a minute", bench, remembered(information), test, tuning),
      wayOf("(c) with our stop rule", runs(remembered(informationOurStop), test)),
    ],
    stated: own.map(({ chance, exact }) => ({ chance, exact })),
    twoAgainstOne: mean(two.map(({ cost }) => cost)) / mean(own.slice(0, few.length).map(({ cost }) => cost)),
    losses: { "in-range": moved("in-range"), "factor-of-two": moved("factor-of-two") },
    model: {
      faults: bench.model.hypotheses.faults.length,
      moves: bench.model.moves.length,
      hypotheses: bench.model.hypotheses.all.length,
      sets: bench.model.table.size(),
      kilobytes,
    },
  };
}

const [family, machines] = process.argv.slice(2);
if (family && machines && process.argv[1]?.endsWith("family-report.ts"))
  process.stdout.write(JSON.stringify(familyReport(family, Number(machines))));
