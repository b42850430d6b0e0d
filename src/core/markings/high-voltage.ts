/** `2,100 V`, `2 100 V~`, `2.1 kV`, `3 kVDC`: a number, thousands set apart or not, perhaps in kilovolts. */
const VOLTS = /(?<!\d)(\d{1,3}(?:[ ,.’'\u00a0\u202f]\d{3}){1,4}|\d+(?:[.,]\d+)?)\s?(k)?\s?V(?!Ar?\b)/gi;

/**
 * The highest voltage that a text speaks of, volts; undefined where it speaks of none. Digits set apart in threes are one
 * number, unless it begins with a nought or is in kilovolts.
 * @example highestVolts("HV 2.1 kV, 230 V~") // 2100
 */
export function highestVolts(text: string): number | undefined {
  // A run of spaces is one: time grows with the text, not with its square.
  const found = [...text.replace(/\s{2,}/g, " ").matchAll(VOLTS)].map(([, digits = "", kilo]) => {
    const isGrouped =
      kilo === undefined && !digits.startsWith("0") && /^\d{1,3}([ ,.’'\u00a0\u202f]\d{3})+$/.test(digits);
    const value = isGrouped ? Number(digits.replace(/\D/g, "")) : Number(digits.replace(",", "."));
    return kilo === undefined ? value : value * 1000;
  });
  const finite = found.filter((value) => Number.isFinite(value));
  return finite.length === 0 ? undefined : Math.max(...finite);
}
