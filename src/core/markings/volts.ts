import { PRINTED, printedNumber } from "../quantity/printed-number";

/** Volts that stand in a mark, and of which kind they are said to be. */
export interface PrintedVolts {
  /** As they stand there, with their number or numbers. */
  readonly text: string;
  readonly index: number;
  readonly values: readonly number[];
  readonly numbers: readonly { readonly text: string; readonly prefix: string }[];
  readonly kind: "ac" | "dc" | "not-said";
}

const SEVERAL = `(${PRINTED})((?:\\s?\\/\\s?${PRINTED}){0,3})`;
const AC = "a\\.?c\\.?|[~∼]";
const DC = "d\\.?c\\.?|[=⎓]";
/** `250 VAC`, `2.1 kV`, `220/250 V~`, `450 WVDC`, `AC 450 V`; VA and var are no volts. */
const VOLTS = new RegExp(
  `(?:(?<!\\w)(a\\.?c\\.?|d\\.?c\\.?)\\s?|([~⎓])\\s?)?${SEVERAL}\\s?(k)?\\s?w?v(?!ar?(?![a-z.]))(?:olts?)?\\s?(?:(${AC})|(${DC}))?(?![a-z])`,
  "gi",
);

/**
 * All volts that a text speaks of, in the order in which they stand there. Volts.
 * @example voltsIn("450 VAC 600 V DC")[1] // { values: [600], kind: "dc", … }
 */
export function voltsIn(text: string): readonly PrintedVolts[] {
  return [...text.matchAll(VOLTS)].map((match) => {
    const [whole, word = "", sign = "", first = "", more = "", kilo = "", isAc, isDc] = match;
    const prefix = kilo.toLowerCase();
    const numbers = [first, ...more.split("/").slice(1)].map((one) => ({ text: one.trim(), prefix }));
    const values = numbers.map((one) => printedNumber(one.text, prefix) * (prefix === "k" ? 1000 : 1));
    const before = (word + sign).toLowerCase();
    const isDirect = isDc !== undefined || (isAc === undefined && /^[d⎓]/.test(before));
    const isAlternating = isAc !== undefined || /^[a~]/.test(before);
    const kind = isDirect ? "dc" : isAlternating ? "ac" : "not-said";
    return { text: whole, index: match.index, values, numbers, kind };
  });
}

/**
 * The highest voltage that a text speaks of, volts; undefined where it speaks of none.
 * @example highestVolts("HV 2.1 kV, 230 V~") // 2100
 */
export function highestVolts(text: string): number | undefined {
  // A run of spaces is one: time grows with the text, not with its square.
  const found = voltsIn(text.replace(/\s{2,}/g, " "))
    .flatMap(({ values }) => values)
    .filter((value) => Number.isFinite(value));
  return found.length === 0 ? undefined : Math.max(...found);
}

/**
 * Whether a mark states direct volts and none for AC.
 * @example printsDirectAlone("8 μF 450 V DC") // true
 */
export function printsDirectAlone(mark: string): boolean {
  const kinds = new Set(voltsIn(mark.replace(/\s+/g, " ")).map(({ kind }) => kind));
  return kinds.has("dc") && !kinds.has("ac");
}
