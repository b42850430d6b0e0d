const SPACE = "[ \\u00a0\\u202f]";
/** Thousands set apart by one sign, and decimals behind another; a nought never leads a thousand. */
const grouped = (sign: string, point: string): string =>
  `[1-9]\\d{0,2}(?:${sign}\\d{3})+(?!\\d)(?:${point}\\d+)?`;

const GROUPED = [
  grouped(",", "\\."),
  grouped("\\.", ","),
  grouped("['’]", "[.,]"),
  // Words end in figures, such as CD60: what stands behind them is a number of its own.
  `(?<![\\w/-])${grouped(SPACE, "[.,]")}`,
].join("|");

/**
 * A number as it is printed on a part or a plate, as the source of an expression that begins no sooner than a number does.
 * A comma, a point, an apostrophe or a space before exactly three digits sets thousands apart; any other comma or point
 * is the decimal one, and may lead.
 */
export const PRINTED = `(?<![\\d.,])(?:${GROUPED}|\\d*[.,]\\d+|\\d+)`;

const IS_GROUPED = new RegExp(`^(?:${GROUPED})$`);

/**
 * A number that {@link PRINTED} found, written plainly, to its last digit. Thousands are never set apart before a kilo:
 * 2.100 kV is 2.1 kV.
 * @example plainNumber("1.200,50") // "1200.50"
 */
export function plainNumber(text: string, prefix = ""): string {
  const { groups, point } = signsOf(text, prefix);
  if (groups === undefined) return text.replace(",", ".");
  const [whole = "", decimals] = point === undefined ? [text] : text.split(point);
  return `${whole.replace(/\D/g, "")}${decimals === undefined ? "" : `.${decimals}`}`;
}

/**
 * The value of a number that {@link PRINTED} found.
 * @example printedNumber("2,100", "k") // 2.1
 */
export const printedNumber = (text: string, prefix = ""): number => Number(plainNumber(text, prefix));

/** What the signs in a number are: which one sets thousands apart, and which one is the decimal point. */
export interface NumberSigns {
  readonly groups: string | undefined;
  readonly point: string | undefined;
}

/** The signs that a printed number was read with. */
export function signsOf(text: string, prefix = ""): NumberSigns {
  const signs = text.replace(/\d/g, "");
  const isGrouped = prefix === "" && IS_GROUPED.test(text);
  if (!isGrouped) return { groups: undefined, point: signs.at(-1) };
  const hasDecimals = signs.length > 1 && signs.at(-1) !== signs.at(-2);
  return { groups: signs.at(0), point: hasDecimals ? signs.at(-1) : undefined };
}
