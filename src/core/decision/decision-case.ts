import type { Landed } from "../cost/landed-part";
import { type KindOfMachine, repairsOn } from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { Knowledge, Repair } from "../knowledge/types";
import {
  type Action,
  type ActionKind,
  type Cause,
  type DecisionCase,
  type End,
  type LeftOver,
  MOTOR,
  type Swap,
  type Way,
} from "./action";
import { around, exactly, type Spread } from "./spread";

/** A repair that could be tried, as isolation hands it over. Costs in minor units, unrounded. */
export interface DecisionTrial {
  readonly repairs: readonly string[];
  /** Chance that this is what is wrong, and that times the chance that the repair cures it. */
  readonly chance: number;
  readonly cures: number;
  readonly minutes: number;
  readonly partMinor: number;
}

export type Tables = Pick<Knowledge, "repairs" | "faults" | "stations" | "families" | "archetypes">;

/** All that a case is made from, beside what isolation found. Money in minor units. */
export interface CaseFacts {
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

/** A thing that was here before is not to be looked for again with less chance than this. */
const LEAST_RETEST = 0.1;
const RETEST_MINUTES = 20;
/** Minutes of taking a machine in once more. */
const INTAKE_MINUTES = 15;
/** Pairs are weighed for so many of the likeliest causes. */
const MOST_PAIRS = 2;

interface Making {
  readonly facts: CaseFacts;
  readonly repairs: ReadonlyMap<string, Repair>;
  readonly parameters: Parameters;
}

const repairIn = ({ repairs }: Making, id: string): Repair | undefined => repairs.get(id);

/** Minutes with the width of what may take longer than it should. */
const minutesAround = (minutes: number, parameters: Parameters): Spread =>
  around(minutes, parameters["minutes-low"], parameters["minutes-high"]);

/** Cash with its width: what was named is exact, the rest as wide as what nobody has asked for. */
function cashAround(minor: number, settledMinor: number, parameters: Parameters): Spread {
  const open = Math.max(0, minor - settledMinor);
  const fixed = minor - open;
  return {
    low: fixed + open * parameters["price-low"],
    likely: minor,
    high: fixed + open * parameters["price-high"],
  };
}

function settledIn({ facts }: Making, repairs: readonly string[]): number {
  return repairs.reduce(
    (sum, id) => sum + (facts.settled.has(id) ? (facts.parts.get(id)?.cashMinor ?? 0) : 0),
    0,
  );
}

const daysOf = ({ facts }: Making, repairs: readonly string[]): number =>
  repairs.reduce((sum, id) => sum + (facts.parts.get(id)?.days ?? 0), 0);

/** What is expected to be spent on the neighbour that is left in: its part and work, with the machine taken in once more. */
function laterOf(making: Making, id: string): number {
  const { facts, parameters } = making;
  const next = repairIn(making, id)?.neighbour;
  const neighbour = next && repairIn(making, next.repair);
  if (!next || !neighbour) return 0;
  const minutes = INTAKE_MINUTES + parameters["trial-run-minutes"] + neighbour.minutes;
  return next.fails * ((facts.parts.get(next.repair)?.cashMinor ?? 0) + minutes * facts.minuteMinor);
}

function partWay(making: Making, { repairs, chance, cures, minutes, partMinor }: DecisionTrial): Way {
  const { facts, parameters } = making;
  const days = daysOf(making, repairs);
  const cash = Math.max(0, partMinor - days * facts.dayMinor);
  const tests = Math.min(minutes, parameters["trial-run-minutes"]);
  return {
    id: repairs.join("+"),
    kind: "repair",
    repairs,
    cash: cashAround(cash, settledIn(making, repairs), parameters),
    minutes: minutesAround(minutes, parameters),
    stages: { work: minutes - tests, tests },
    days,
    toolMinor: repairs.reduce((sum, id) => sum + (facts.parts.get(id)?.toolMinor ?? 0), 0),
    success: chance > 0 ? Math.min(1, cures / chance) : 0,
  };
}

/** What a trial takes beside the repair itself: the run after it, and what the fault brought about. */
function besideOf({ facts }: Making, { minutes, partMinor }: DecisionTrial, { id, minutes: own }: Repair) {
  const landed = facts.parts.get(id);
  const part = (landed?.cashMinor ?? 0) + (landed?.days ?? 0) * facts.dayMinor;
  return { minutes: Math.max(0, minutes - own), cashMinor: Math.max(0, partMinor - part) };
}

function easierWay(making: Making, trial: DecisionTrial, repair: Repair): Way[] {
  const { easier, id } = repair;
  if (!easier) return [];
  const { parameters } = making;
  const beside = besideOf(making, trial, repair);
  const tests = parameters["trial-run-minutes"];
  return [
    {
      id: `easier:${id}`,
      kind: "easier",
      repairs: [id],
      cash: cashAround(beside.cashMinor, 0, parameters),
      minutes: minutesAround(easier.minutes + beside.minutes, parameters),
      stages: { work: easier.minutes + beside.minutes - tests, tests },
      days: 0,
      success: easier.cures,
    },
  ];
}

function donorWay(making: Making, trial: DecisionTrial, repair: Repair, part: Way): Way[] {
  const { facts, parameters } = making;
  const minor = facts.donors.get(repair.id);
  // A motor out of a donor deals with all that is in it: it is a swap.
  if (minor === undefined || repair.id === MOTOR) return [];
  return [
    {
      ...part,
      id: `donor:${repair.id}`,
      kind: "donor",
      cash: exactly(minor + besideOf(making, trial, repair).cashMinor),
      days: 0,
      success: part.success * parameters["donor-works"],
      years: facts.years * parameters["mended-years-share"] * parameters["donor-years-share"],
    },
  ];
}

function causeOf(making: Making, trial: DecisionTrial): Cause {
  const part = partWay(making, trial);
  const only = trial.repairs.length === 1 ? repairIn(making, trial.repairs[0] ?? "") : undefined;
  const before = only ? [...easierWay(making, trial, only), ...donorWay(making, trial, only, part)] : [];
  return { id: part.id, chance: trial.chance, ways: [...before, part] };
}

/** Repairs that only ever cure what is at these stations: what brings new stations makes them needless. */
function repairsWithin(stations: ReadonlySet<string>, { faults, repairs }: Tables): ReadonlySet<string> {
  return new Set(
    repairs
      .filter(({ id }) => {
        const cured = faults.filter(({ fix }) => fix.repair === id);
        return cured.length > 0 && cured.every(({ station }) => stations.has(station));
      })
      .map(({ id }) => id),
  );
}

/** What is to be done of a cause once what is within is new; the cause of that alone is done in the same way. */
function leftOf(
  making: Making,
  trial: DecisionTrial,
  within: ReadonlySet<string>,
  causes: readonly Cause[],
): LeftOver | null | undefined {
  const outside = trial.repairs.filter((id) => !within.has(id));
  if (outside.length === 0) return null;
  if (outside.length === trial.repairs.length) return undefined;
  const id = outside.join("+");
  const known = causes.find((cause) => cause.id === id)?.ways.at(-1);
  if (known) return { way: known };
  const rows = outside.flatMap((one) => repairIn(making, one) ?? []);
  const { parts } = making.facts;
  return {
    way: partWay(making, {
      repairs: outside,
      chance: 1,
      cures: trial.chance > 0 ? trial.cures / trial.chance : 0,
      minutes: rows.reduce((sum, { minutes }) => sum + minutes, making.parameters["trial-run-minutes"]),
      partMinor: outside.reduce(
        (sum, one) =>
          sum + (parts.get(one)?.cashMinor ?? 0) + (parts.get(one)?.days ?? 0) * making.facts.dayMinor,
        0,
      ),
    }),
  };
}

interface SwapFacts {
  readonly id: string;
  readonly kind: ActionKind;
  readonly minutes: number;
  readonly landed: Landed | undefined;
  readonly isSettled: boolean;
  readonly success: number;
}

function swapOf(
  making: Making,
  { id, kind, minutes, landed, isSettled, success }: SwapFacts,
  within: ReadonlySet<string>,
  trials: readonly DecisionTrial[],
  causes: readonly Cause[],
): Swap {
  const { facts, parameters } = making;
  const cash = landed?.cashMinor ?? 0;
  return {
    id,
    kind,
    // An assembly brings a new motor: what is done at the bench is written down as that.
    repairs: [MOTOR],
    cash: cashAround(cash, isSettled ? cash : 0, parameters),
    minutes: minutesAround(minutes, parameters),
    days: landed?.days ?? 0,
    years: facts.years * parameters["motor-years-share"],
    success,
    leaves: new Map(
      trials.flatMap((trial) => {
        const left = leftOf(making, trial, within, causes);
        return left === undefined ? [] : [[trial.repairs.join("+"), left] as const];
      }),
    ),
  };
}

/** The same out of a donor: here today, less sure, and for fewer years. */
function donorMotor(
  making: Making,
  motor: SwapFacts,
  cashMinor: number,
  ...covered: [ReadonlySet<string>, readonly DecisionTrial[], readonly Cause[]]
): Swap {
  const { facts, parameters } = making;
  const own: SwapFacts = {
    ...motor,
    id: `donor:${MOTOR}`,
    kind: "donor-motor",
    landed: { cashMinor, days: 0, toolMinor: 0 },
    isSettled: true,
    success: motor.success * parameters["donor-works"],
  };
  const years = facts.years * parameters["mended-years-share"] * parameters["donor-years-share"];
  return { ...swapOf(making, own, ...covered), years };
}

/** A part and the one that is likely next, with the cover off once, one test and one postage. */
function pairsOf(making: Making, causes: readonly Cause[]): Swap[] {
  const { facts, parameters } = making;
  const single = [...causes]
    .filter(({ ways }) => ways.at(-1)?.repairs.length === 1)
    .sort((one, other) => other.chance - one.chance);
  return single.slice(0, MOST_PAIRS).flatMap(({ id, ways }): Swap[] => {
    const part = ways.at(-1);
    const next = repairIn(making, id)?.neighbour;
    const neighbour = next && repairIn(making, next.repair);
    if (!part || !next || !neighbour) return [];
    const landed = facts.parts.get(next.repair);
    const shared = (landed?.days ?? 0) > 0 && part.days > 0 ? facts.postageMinor : 0;
    const more = Math.max(0, (landed?.cashMinor ?? 0) - shared);
    const added = cashAround(more, facts.settled.has(next.repair) ? more : 0, parameters);
    const isNamed = causes.some((cause) => cause.id === next.repair);
    return [
      {
        ...part,
        id: `${id}+${next.repair}`,
        kind: "pair",
        repairs: [id, next.repair],
        cash: {
          low: part.cash.low + added.low,
          likely: part.cash.likely + added.likely,
          high: part.cash.high + added.high,
        },
        minutes: minutesAround(part.minutes.likely + Math.max(0, neighbour.minutes - next.saves), parameters),
        stages: undefined,
        toolMinor: (part.toolMinor ?? 0) + (landed?.toolMinor ?? 0),
        days: Math.max(part.days, landed?.days ?? 0),
        later: -laterOf(making, id),
        buys: [id, next.repair],
        leaves: new Map([[id, null], ...(isNamed ? [[next.repair, null] as const] : [])]),
      },
    ];
  });
}

/** What cannot be found any more is given back, with a day on which it is looked at again. */
function retestOf({ facts, parameters }: Making, causes: readonly Cause[]): Swap[] {
  const gone = causes.find(({ id }) => id === "");
  if (facts.isUnsafe || !gone || gone.chance < LEAST_RETEST) return [];
  const action: Action = {
    id: "retest",
    kind: "retest",
    repairs: [],
    cash: exactly(0),
    minutes: minutesAround(RETEST_MINUTES, parameters),
    days: 0,
  };
  return [{ ...action, success: parameters["retest-holds"], leaves: new Map([["", null]]) }];
}

/**
 * The case that a decision is made on: what isolation found, with the ways, swaps and ends that its kind of machine, its
 * chosen parts and what was typed give.
 */
export function decisionCase(
  trials: readonly DecisionTrial[],
  facts: CaseFacts,
  tables: Tables,
  parameters: Parameters,
): DecisionCase {
  const repairs = new Map(repairsOn(facts.machine, tables).map((repair) => [repair.id, repair]));
  const making: Making = { facts, repairs, parameters };
  const causes = trials.map((trial) => causeOf(making, trial));
  const success = Math.min(
    ...tables.faults.filter(({ fix }) => fix.repair === MOTOR).map(({ fix }) => fix.success),
  );
  const inMotor = new Set(tables.stations.filter((station) => station.inMotor).map(({ id }) => id));
  const motor: SwapFacts = {
    id: MOTOR,
    kind: "motor",
    minutes: (repairs.get(MOTOR)?.minutes ?? 0) + parameters["trial-run-minutes"],
    landed: facts.parts.get(MOTOR),
    isSettled: facts.settled.has(MOTOR),
    success,
  };
  const { assembly } = tables.archetypes.find(({ id }) => id === facts.machine.archetype) ?? {};
  const swaps = [swapOf(making, motor, repairsWithin(inMotor, tables), trials, causes)];
  const donorMinor = facts.donors.get(MOTOR);
  if (donorMinor !== undefined)
    swaps.push(donorMotor(making, motor, donorMinor, repairsWithin(inMotor, tables), trials, causes));
  if (assembly) {
    const within = repairsWithin(new Set(assembly.stations), tables);
    const own: SwapFacts = {
      id: `assembly:${assembly.id}`,
      kind: "assembly",
      minutes: assembly.minutes + parameters["trial-run-minutes"],
      landed: facts.assembly,
      isSettled: facts.settled.has(`assembly:${assembly.id}`),
      success,
    };
    swaps.push(swapOf(making, own, within, trials, causes));
  }
  return {
    causes,
    swaps: [...swaps, ...pairsOf(making, causes), ...retestOf(making, causes)],
    ends: facts.ends,
    minuteMinor: facts.minuteMinor,
    dayMinor: facts.dayMinor,
    years: facts.years * parameters["mended-years-share"],
    interest: parameters["interest"],
  };
}
