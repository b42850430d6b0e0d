/** A meter's accuracy as its sheet gives it: percent of reading plus counts of the last digit. */
export interface MeterAccuracy {
  /** Share of the reading (0.015 for 1.5 %). */
  readonly share: number;
  /** Counts of the last digit. */
  readonly counts: number;
  /** Weight of the last digit, SI. */
  readonly resolution: number;
}

export interface Interval {
  readonly lower: number;
  readonly upper: number;
}

/**
 * Limit of error of one reading, in the reading's unit.
 * Source: gum. The standard uncertainty is this divided by √3 (rectangular).
 * @example limitOfError({ share: 0.015, counts: 5, resolution: 1e-7 }, 61.8e-6) // 1.427e-6
 */
export function limitOfError(meter: MeterAccuracy, value: number): number {
  return meter.share * Math.abs(value) + meter.counts * meter.resolution;
}

/** The interval that a reading stands for; never below zero where the quantity cannot be. */
export function intervalOf(value: number, halfWidth: number): Interval {
  return { lower: Math.max(0, value - halfWidth), upper: value + halfWidth };
}
