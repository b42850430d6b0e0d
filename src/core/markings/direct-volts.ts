const DIRECT = /\d\s?(?:w?v(?:olts?)?\s?d\.?c|w?vdc|v\s?[=⎓])/i;
const ALTERNATING = /\d\s?(?:w?v(?:olts?)?\s?a\.?c|w?vac|v\s?[~∼])/i;

/**
 * Whether a mark states direct volts and none for AC.
 * @example printsDirectAlone("8 μF 450 V DC") // true
 */
export const printsDirectAlone = (mark: string): boolean => {
  const text = mark.replace(/\s+/g, " ");
  return DIRECT.test(text) && !ALTERNATING.test(text);
};
