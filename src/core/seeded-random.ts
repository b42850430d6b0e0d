/** A source of numbers in [0, 1) that depends on nothing but its seed. */
export interface SeededRandom {
  /** Uniform on [0, 1). */
  next(): number;
  /** Gaussian with the given mean and standard deviation. */
  gaussian(mean: number, sd: number): number;
}

const UINT32 = 4_294_967_296;

/**
 * The one random source of core (mulberry32).
 * @param seed 32-bit unsigned integer; printed when a test fails.
 * @example seededRandom(1).next() // 0.6270739405881613
 */
export function seededRandom(seed: number): SeededRandom {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / UINT32;
  };
  const gaussian = (mean: number, sd: number): number => {
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    return mean + sd * radius * Math.cos(2 * Math.PI * next());
  };
  return { next, gaussian };
}
