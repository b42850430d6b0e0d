// The second report: machines made by physics, which shares no chance with the knowledge that gives the advice.

import type { Fault, Knowledge } from "@/core/knowledge/types";
import { type SeededRandom, seededRandom } from "@/core/seeded-random";
import { SIMULATED_FAMILIES, type SimulatedFamily } from "@/core/simulation/faulty-machine";
import { canSimulate } from "@/core/simulation/hidden-faults";
import { type Bench, benchFor, type Hidden } from "./machine";
import { isAnswered, physicalAnswer } from "./physics-answers";
import { fromItsOwner } from "./physics-machine";
import { checklist, ours, type Policy } from "./policies";
import { mean, type Run, run, runToThresholds } from "./run";

export interface PhysicsRun {
  readonly hidden: string;
  readonly run: Run;
}

export interface PhysicsFamily {
  readonly family: SimulatedFamily;
  readonly machines: number;
  readonly rootFirst: number;
  readonly cureFirst: number;
  readonly cost: number;
  readonly moves: number;
  readonly checklistCost: number;
  readonly checklistRootFirst: number;
  /** Faults and moves of the family that physics knows, of how many. */
  readonly faults: readonly [number, number];
  readonly answered: readonly [number, number];
  /** Draws that were thrown back, since nobody would have noticed anything. */
  readonly unnoticed: readonly { readonly fault: string; readonly times: number }[];
  readonly wrong: readonly { readonly hidden: string; readonly named: string; readonly times: number }[];
}

/** Sure enough for the checklist: the threshold that the first report found best most often. */
const CHECKLIST_AT = 0;

function drawnFault(faults: readonly Fault[], family: string, random: SeededRandom): Fault {
  const total = faults.reduce((sum, { odds }) => sum + (odds[family] ?? 0), 0);
  let left = random.next() * total;
  const found = faults.find(({ odds }) => {
    left -= odds[family] ?? 0;
    return left <= 0;
  });
  const drawn = found ?? faults[0];
  if (!drawn) throw new Error(`physics knows no fault of ${family}`);
  return drawn;
}

/** Draws until a machine is found whose owner would bring it. */
const MOST_DRAWS = 60;
/** What is brought although nothing shows. */
const NO_FAULT = "no-fault-found";

interface Brought {
  readonly hidden: Hidden;
  /** Faults drawn before it that their owner would not have noticed. */
  readonly unnoticed: readonly string[];
}

/**
 * One hidden root a machine, drawn by its starting odds among those that physics knows; consequences are physics' own. A
 * machine is brought because its owner noticed something: what shows nothing is drawn again.
 */
function broughtMachine(bench: Bench, family: SimulatedFamily, seed: number): Brought {
  const faults = bench.model.hypotheses.faults.filter(({ id }) => canSimulate(id, family));
  const random = seededRandom(seed ^ 0x5bd1e995);
  const unnoticed: string[] = [];
  for (let draw = 0; draw < MOST_DRAWS; draw += 1) {
    const { id } = drawnFault(faults, family, random);
    const machine = fromItsOwner(family, [id], seed + draw * 104_729);
    if (id === NO_FAULT || physicalAnswer(machine, "owner-report") !== "runs-then-fine")
      return { hidden: { roots: [id], answer: (moveId) => physicalAnswer(machine, moveId) }, unnoticed };
    unnoticed.push(id);
  }
  throw new Error(`no machine of ${family} would be brought`);
}

function countOf(faults: readonly string[]): PhysicsFamily["unnoticed"] {
  const times = new Map<string, number>();
  for (const fault of faults) times.set(fault, (times.get(fault) ?? 0) + 1);
  return [...times]
    .map(([fault, count]) => ({ fault, times: count }))
    .sort((one, other) => other.times - one.times || one.fault.localeCompare(other.fault));
}

function tally(runs: readonly PhysicsRun[]): PhysicsFamily["wrong"] {
  const times = new Map<string, number>();
  for (const { hidden, run: one } of runs)
    if (!one.exact) times.set(`${hidden}>${one.first}`, (times.get(`${hidden}>${one.first}`) ?? 0) + 1);
  return [...times]
    .map(([key, count]) => {
      const [hidden = "", named = ""] = key.split(">");
      return { hidden, named, times: count };
    })
    .sort((one, other) => other.times - one.times || one.hidden.localeCompare(other.hidden));
}

export function physicsFamily(
  family: SimulatedFamily,
  machines: number,
  knowledge: Knowledge,
): PhysicsFamily {
  const bench = benchFor(family, knowledge);
  const brought = Array.from({ length: machines }, (_, index) =>
    broughtMachine(bench, family, 11 + index * 7919),
  );
  const hidden = brought.map((one) => one.hidden);
  const over = (policy: Policy): PhysicsRun[] =>
    hidden.map((one) => ({ hidden: one.roots[0] ?? "", run: run(bench, one, policy) }));
  const own = over(ours(1));
  const list = checklist(bench);
  const listed = hidden.flatMap((one) => runToThresholds(bench, one, list)[CHECKLIST_AT] ?? []);
  const of = (pick: (one: Run) => number): number => mean(own.map((one) => pick(one.run)));
  const { faults } = bench.model.hypotheses;
  return {
    family,
    machines,
    rootFirst: of(({ exact }) => Number(exact)),
    cureFirst: of(({ cure }) => Number(cure)),
    cost: of(({ cost }) => cost),
    moves: of(({ moves }) => moves),
    checklistCost: mean(listed.map(({ cost }) => cost)),
    checklistRootFirst: mean(listed.map(({ exact }) => Number(exact))),
    faults: [faults.filter(({ id }) => canSimulate(id, family)).length, faults.length],
    answered: [bench.model.moves.filter(({ id }) => isAnswered(id)).length, bench.model.moves.length],
    wrong: tally(own),
    unnoticed: countOf(brought.flatMap((one) => one.unnoticed)),
  };
}

export function physicsReport(machines: number, knowledge: Knowledge): PhysicsFamily[] {
  return SIMULATED_FAMILIES.map((family) => physicsFamily(family, machines, knowledge));
}
