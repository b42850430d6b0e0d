const E12 = [10, 12, 15, 18, 22, 27, 33, 39, 47, 56, 68, 82];

/** Watts that wire-wound and film resistors are commonly sold for. */
export const COMMON_WATTS = [0.25, 0.5, 1, 2, 3, 5, 7, 10, 15, 25, 50] as const;

/** Common resistor values between two limits, rising. Ohms. Source: iec-60063 (E12). */
export function commonOhms(least: number, most: number): number[] {
  const found: number[] = [];
  for (let decade = 0; decade <= 6; decade += 1)
    for (const digits of E12) {
      const value = (digits * 10 ** decade) / 10;
      if (value >= least && value <= most) found.push(value);
    }
  return found;
}
