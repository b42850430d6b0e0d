/** Volts that are printed as direct ones. */
export const DIRECT_VOLTS = /(\d{2,5})\s*(?:w?v(?:olts?)?\s*d\.?c\.?|w?vdc|v\s*[=⎓])(?![a-z])/i;
const ALTERNATING = /\d\s?(?:w?v(?:olts?)?\s?a\.?c|w?vac|v\s?[~∼])/i;

/**
 * Whether a mark states direct volts and none for AC.
 * @example printsDirectAlone("8 μF 450 V DC") // true
 */
export const printsDirectAlone = (mark: string): boolean => {
  const text = mark.replace(/\s+/g, " ");
  return DIRECT_VOLTS.test(text) && !ALTERNATING.test(text);
};
