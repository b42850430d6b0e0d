import type { MeterLine } from "../quantity/meter-line";
import type { QuantityId } from "../quantity/reading";
import type { MeterAccuracy } from "../quantity/uncertainty";
import type { SeededRandom } from "../seeded-random";
import { THIRD_HORSEPOWER } from "./circuits";
import { meterShows } from "./meter";

/** What the meter's function is, and where its probes are, by the names of the points they touch. */
export interface Placed {
  readonly quantity: QuantityId;
  readonly a: string;
  readonly b: string;
}

interface Range {
  readonly accuracy: MeterAccuracy;
  readonly upTo: number;
}

const RANGES: Partial<Readonly<Record<QuantityId, Range>>> = {
  resistance: { accuracy: { share: 0.005, counts: 2, resolution: 0.1 }, upTo: 600 },
  capacitance: { accuracy: { share: 0.01, counts: 3, resolution: 1e-7 }, upTo: 1e-3 },
  voltage: { accuracy: { share: 0.005, counts: 3, resolution: 0.1 }, upTo: 600 },
};

/** The start capacitor of the demo's wool carder: less than half of its 145 to 174 μF. Farads. */
const WEAK_START = 61.8e-6;
/** Leads of its motor, from the common: main winding, start winding. */
const COMMON = "white";
const FROM_COMMON: ReadonlyMap<string, number> = new Map([
  ["red", THIRD_HORSEPOWER.mainOhms],
  ["black", THIRD_HORSEPOWER.auxiliaryOhms],
  [COMMON, 0],
]);

/** Volts left on the drained capacitor. */
const LEFT_VOLTS = 0.3;
/** Time constant with which a reading comes to rest, seconds. */
const SETTLES = 0.4;

/** What there is between two points of the demo machine, plug out and drained; undefined where nothing joins them. SI. */
function trueValue({ quantity, a, b }: Placed): number | undefined {
  if (quantity === "capacitance") return WEAK_START;
  if (quantity === "voltage") return LEFT_VOLTS;
  if (a === "" && b === "") return THIRD_HORSEPOWER.mainOhms;
  const [one, other] = [FROM_COMMON.get(a), FROM_COMMON.get(b)];
  return one === undefined || other === undefined || a === b ? undefined : one + other;
}

/**
 * What a simulated meter shows so many seconds after its probes were placed on the demo's wool carder: it comes to rest
 * from nothing and then wavers within its limit of error.
 * @returns undefined where the meter has no such function
 */
export function benchMeterShows(
  placed: Placed,
  seconds: number,
  random: SeededRandom,
): MeterLine | undefined {
  const range = RANGES[placed.quantity];
  if (!range) return undefined;
  const { resolution } = range.accuracy;
  const value = trueValue(placed);
  const nothing = { quantity: placed.quantity, value: 0, resolution };
  if (value === undefined || value > range.upTo) return { ...nothing, kind: "over-range" };
  const settled = value * (1 - Math.exp(-seconds / SETTLES));
  // At rest a meter's last digit wavers; its error does not come anew with each reading.
  const still: MeterAccuracy = { share: 0, counts: seconds < 4 * SETTLES ? 5 : 0.6, resolution };
  return { ...nothing, kind: "value", value: Number(meterShows(settled, still, random).toPrecision(9)) };
}
