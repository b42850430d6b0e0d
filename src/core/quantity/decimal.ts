const KEPT_DIGITS = 12;

/** `value × 10^exponent` without the noise of a binary factor. @example shiftDecimal(30, -6) // 0.00003 */
export function shiftDecimal(value: number, exponent: number): number {
  return denoise(value * 10 ** exponent);
}

/**
 * The number to twelve significant digits, far finer than any meter: binary noise goes, so that a reading exactly
 * at a limit meets it. @example denoise(0.1 + 0.2) // 0.3
 */
export function denoise(value: number): number {
  return Number.isFinite(value) ? Number(value.toPrecision(KEPT_DIGITS)) : value;
}
