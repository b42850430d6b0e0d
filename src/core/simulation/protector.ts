/** Anything that warms as the square of the current and opens at a rise: fuse, breaker, overload, protector. */
export interface Protector {
  /** Current it carries for ever, just, A. */
  readonly holdsAmps: number;
  /** Time constant of its warming, s. */
  readonly tau: number;
  /** Current from which it opens at once; nothing where it has no magnet. */
  readonly atOnceAmps?: number | undefined;
}

/** A tenth of a second is at once to a hand on the switch. */
const AT_ONCE_SECONDS = 0.02;

/**
 * Seconds until it opens at a steady current: t = −τ·ln(1 − (I_hold/I)²); infinite at or under what it holds.
 * @param warmth share of its tripping rise that it has already
 * Source: physics (first-order warming).
 */
export function secondsToOpen({ holdsAmps, tau, atOnceAmps }: Protector, amps: number, warmth = 0): number {
  if (atOnceAmps !== undefined && amps >= atOnceAmps) return AT_ONCE_SECONDS;
  if (amps <= holdsAmps) return Number.POSITIVE_INFINITY;
  const end = (amps / holdsAmps) ** 2;
  return tau * Math.log((end - warmth) / (end - 1));
}

/** What warms at a power and cools through the air: degrees a watt in the end, and its time constant in seconds. */
export interface ThermalBody {
  readonly kelvinPerWatt: number;
  readonly tau: number;
}

/** Rise after a time at a steady power, K. Source: physics (first-order warming). */
export function riseAfter({ kelvinPerWatt, tau }: ThermalBody, watts: number, seconds: number): number {
  return watts * kelvinPerWatt * (1 - Math.exp(-seconds / tau));
}

/** Seconds until a rise is reached at a steady power; infinite where it never is. */
export function secondsToRise({ kelvinPerWatt, tau }: ThermalBody, watts: number, rise: number): number {
  const end = watts * kelvinPerWatt;
  return end <= rise ? Number.POSITIVE_INFINITY : -tau * Math.log(1 - rise / end);
}
