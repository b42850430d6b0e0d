import type { Landed } from "../cost/landed-part";
import {
  type KindOfMachine,
  type MachineRepair,
  repairsOn,
  type WorkTables,
  workMinutes,
} from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { End, StageMinutes } from "./action";
import { around, type Spread } from "./spread";

/** All that a case is made from, beside what isolation found. Money in minor units. */
export interface CaseFacts {
  /** With what stands open. */
  readonly machine: KindOfMachine;
  readonly ends: readonly End[];
  readonly minuteMinor: number;
  readonly dayMinor: number;
  readonly postageMinor: number;
  /** Years that a new one runs. */
  readonly years: number;
  /** What the part of each repair costs by the time it is there. */
  readonly parts: ReadonlyMap<string, Landed>;
  /** Repairs whose part somebody has named a price for: it does not vary any more. */
  readonly settled: ReadonlySet<string>;
  /** What the same part out of a donor costs, by repair. */
  readonly donors: ReadonlyMap<string, number>;
  /** What the assembly of the kind costs by the time it is there. */
  readonly assembly: Landed | undefined;
  /** Nobody may use it as it stands: it is not given back to be watched. */
  readonly isUnsafe: boolean;
}

/** The facts with what follows from them, while a case is made. */
export interface Making {
  readonly facts: CaseFacts;
  readonly repairs: ReadonlyMap<string, MachineRepair>;
  /** The same with everything closed, as it will be when it comes back. */
  readonly closed: ReadonlyMap<string, MachineRepair>;
  readonly parameters: Parameters;
}

export const repairIn = ({ repairs }: Making, id: string): MachineRepair | undefined => repairs.get(id);

/** Minutes by stage, of which those of the covers are known and the run takes its own: the rest is work. */
export function stagesOf(making: Making, repairs: readonly string[], minutes: number): StageMinutes {
  const { access, refit } = workMinutes(repairs.flatMap((id) => repairIn(making, id) ?? []));
  const tests = Math.min(minutes, making.parameters["trial-run-minutes"]);
  return { access, work: Math.max(0, minutes - access - refit - tests), refit, tests };
}

/** Minutes with the width of what may take longer than it should. */
export const minutesAround = (minutes: number, parameters: Parameters): Spread =>
  around(minutes, parameters["minutes-low"], parameters["minutes-high"]);

/** Cash with its width: what was named is exact, the rest as wide as what nobody has asked for. */
export function cashAround(minor: number, settledMinor: number, parameters: Parameters): Spread {
  const open = Math.max(0, minor - settledMinor);
  const fixed = minor - open;
  return {
    low: fixed + open * parameters["price-low"],
    likely: minor,
    high: fixed + open * parameters["price-high"],
  };
}

export function settledIn({ facts }: Making, repairs: readonly string[]): number {
  return repairs.reduce(
    (sum, id) => sum + (facts.settled.has(id) ? (facts.parts.get(id)?.cashMinor ?? 0) : 0),
    0,
  );
}

export const daysOf = ({ facts }: Making, repairs: readonly string[]): number =>
  repairs.reduce((sum, id) => sum + (facts.parts.get(id)?.days ?? 0), 0);

export function makingOf(facts: CaseFacts, tables: WorkTables, parameters: Parameters): Making {
  const byId = (machine: KindOfMachine) =>
    new Map(repairsOn(machine, tables).map((repair) => [repair.id, repair]));
  return {
    facts,
    repairs: byId(facts.machine),
    closed: byId({ ...facts.machine, opened: [] }),
    parameters,
  };
}
