import type { Landed } from "../cost/landed-part";
import { type MachineRepair, totalOf, type WorkTables, workMinutes } from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { Knowledge } from "../knowledge/types";
import {
  type Action,
  type ActionKind,
  type Cause,
  type DecisionCase,
  type LeftOver,
  MOTOR,
  type Swap,
  type Way,
} from "./action";
import {
  type CaseFacts,
  cashAround,
  daysOf,
  type Making,
  makingOf,
  minutesAround,
  repairIn,
  settledIn,
  stagesOf,
} from "./making";
import { pairsOf } from "./pairs";
import { exactly } from "./spread";

/** A repair that could be tried, as isolation hands it over. Costs in minor units, unrounded. */
export interface DecisionTrial {
  readonly repairs: readonly string[];
  /** Chance that this is what is wrong, and that times the chance that the repair cures it. */
  readonly chance: number;
  readonly cures: number;
  readonly minutes: number;
  readonly partMinor: number;
}

export type Tables = WorkTables & Pick<Knowledge, "faults" | "stations">;

/** A thing that was here before is not to be looked for again with less chance than this. */
const LEAST_RETEST = 0.1;
const RETEST_MINUTES = 20;

function partWay(making: Making, { repairs, chance, cures, minutes, partMinor }: DecisionTrial): Way {
  const { facts, parameters } = making;
  const days = daysOf(making, repairs);
  const cash = Math.max(0, partMinor - days * facts.dayMinor);
  return {
    id: repairs.join("+"),
    kind: "repair",
    repairs,
    cash: cashAround(cash, settledIn(making, repairs), parameters),
    minutes: minutesAround(minutes, parameters),
    stages: stagesOf(making, repairs, minutes),
    days,
    toolMinor: repairs.reduce((sum, id) => sum + (facts.parts.get(id)?.toolMinor ?? 0), 0),
    success: chance > 0 ? Math.min(1, cures / chance) : 0,
  };
}

/** What a trial takes beside the repair itself: the run after it, and what the fault brought about. */
function besideOf(
  { facts }: Making,
  { minutes, partMinor }: DecisionTrial,
  { id, minutes: own }: MachineRepair,
) {
  const landed = facts.parts.get(id);
  const part = (landed?.cashMinor ?? 0) + (landed?.days ?? 0) * facts.dayMinor;
  return { minutes: Math.max(0, minutes - own), cashMinor: Math.max(0, partMinor - part) };
}

function easierWay(making: Making, trial: DecisionTrial, repair: MachineRepair): Way[] {
  const { easier, id } = repair;
  if (!easier) return [];
  const { parameters } = making;
  const beside = besideOf(making, trial, repair);
  const minutes = easier.minutes + beside.minutes;
  return [
    {
      id: `easier:${id}`,
      kind: "easier",
      repairs: [id],
      cash: cashAround(beside.cashMinor, 0, parameters),
      minutes: minutesAround(minutes, parameters),
      stages: stagesOf(making, [id], minutes),
      days: 0,
      success: easier.cures,
    },
  ];
}

function donorWay(making: Making, trial: DecisionTrial, repair: MachineRepair, part: Way): Way[] {
  const { facts, parameters } = making;
  const minor = facts.donors.get(repair.id);
  // A motor out of a donor deals with all that is in it: it is a swap.
  if (minor === undefined || repair.id === MOTOR || repair.isNewOnly === true) return [];
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
      minutes: making.parameters["trial-run-minutes"] + totalOf(workMinutes(rows)),
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
    // An assembly comes as one piece: nothing says what is opened for it.
    stages: kind === "assembly" ? undefined : stagesOf(making, [MOTOR], minutes),
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
  const making = makingOf(facts, tables, parameters);
  const causes = trials.map((trial) => causeOf(making, trial));
  const success = Math.min(
    ...tables.faults.filter(({ fix }) => fix.repair === MOTOR).map(({ fix }) => fix.success),
  );
  const inMotor = new Set(tables.stations.filter((station) => station.inMotor).map(({ id }) => id));
  const motor: SwapFacts = {
    id: MOTOR,
    kind: "motor",
    minutes: (making.repairs.get(MOTOR)?.minutes ?? 0) + parameters["trial-run-minutes"],
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
