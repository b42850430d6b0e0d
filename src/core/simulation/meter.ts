import { limitOfError, type MeterAccuracy } from "../quantity/uncertainty";
import type { SeededRandom } from "../seeded-random";

/**
 * What a meter shows for a true value: within its limit of error (rectangular), to its last digit. SI.
 * Source: gum.
 */
export function meterShows(trueValue: number, meter: MeterAccuracy, random: SeededRandom): number {
  const error = (2 * random.next() - 1) * limitOfError(meter, trueValue);
  return Math.max(0, Math.round((trueValue + error) / meter.resolution) * meter.resolution);
}

/** Volts left on a capacitor after draining through a resistor for a time: V0·exp(−t/RC). Source: physics. */
export function voltsAfter(
  startVolts: number,
  resistanceOhms: number,
  capacitanceFarads: number,
  elapsedSeconds: number,
): number {
  return startVolts * Math.exp(-elapsedSeconds / (resistanceOhms * capacitanceFarads));
}
