import { priceOfMinute } from "../cost/price-of-time";
import { type KindOfMachine, repairsOn } from "../knowledge/kind-costs";
import type { Parameters } from "../knowledge/parameters";
import type { Knowledge } from "../knowledge/types";
import type { DecisionCase, DecisionTrial } from "./routes";

type Tables = Pick<Knowledge, "repairs" | "faults" | "stations" | "families" | "archetypes">;

const MOTOR = "fit-motor";

/** Price of another machine as somebody said it, or the shop's default. Minor units. */
export function machinePrice(prices: Readonly<Record<string, number>>, parameters: Parameters): number {
  return prices["machine"] ?? parameters["machine-price-default"];
}

/** Repairs that only ever cure what is part of the motor: another motor makes them needless. */
function repairsInMotor({
  faults,
  stations,
  repairs,
}: Pick<Tables, "faults" | "stations" | "repairs">): ReadonlySet<string> {
  const inMotor = new Set(stations.filter((station) => station.inMotor).map(({ id }) => id));
  return new Set(
    repairs
      .filter(({ id }) => {
        const cured = faults.filter(({ fix }) => fix.repair === id);
        return cured.length > 0 && cured.every(({ station }) => inMotor.has(station));
      })
      .map(({ id }) => id),
  );
}

/**
 * The trials of isolation with the prices of this job and of its kind of machine, as the decision takes them.
 * Time counts at the shop's ranking rate, whatever is charged: a repairer's hour is never free to waste.
 */
export function decisionCase(
  trials: readonly DecisionTrial[],
  prices: Readonly<Record<string, number>>,
  machine: KindOfMachine,
  tables: Tables,
  parameters: Parameters,
): DecisionCase {
  const repairs = repairsOn(machine, tables);
  const repairOf: DecisionCase["repairOf"] = (id) => {
    const repair = repairs.find((one) => one.id === id);
    return { minutes: repair?.minutes ?? 0, partMinor: prices[id] ?? repair?.partMinor ?? 0 };
  };
  const success = Math.min(
    ...tables.faults.filter(({ fix }) => fix.repair === MOTOR).map(({ fix }) => fix.success),
  );
  return {
    trials,
    machineMinor: machinePrice(prices, parameters),
    minuteMinor: priceOfMinute(undefined, parameters),
    motor: { ...repairOf(MOTOR), success },
    inMotor: repairsInMotor(tables),
    repairOf,
  };
}
