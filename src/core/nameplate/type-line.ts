import { normaliseSigns } from "../quantity/parse-reading";
import { PRINTED, plainNumber } from "../quantity/printed-number";

/** A field of a nameplate as it is kept: text, as it stands there. */
export type PlateField = "volts" | "hertz" | "amps" | "power" | "speed" | "duty" | "enclosure";

/** One piece of the plate and what it was understood to mean. */
export interface PlatePiece {
  readonly text: string;
  readonly meaning: string;
}

/** What a line of a nameplate says, field by field; what it does not say is absent. */
export interface NameplateLine {
  readonly fields: Readonly<Partial<Record<PlateField, string>>>;
  readonly powerIs: "input" | "output" | "peak" | "not-said";
  readonly protectionClass?: "class-1" | "class-2" | "class-3";
  readonly typeCode?: string;
  /** A capacitor's value on the plate, as it stands there. */
  readonly capacitor?: string;
  readonly understood: readonly PlatePiece[];
  /** Words that mean nothing here: kept as other words of the plate. */
  readonly leftOver: string;
}

interface Rule {
  readonly pattern: RegExp;
  take(match: RegExpExecArray): Partial<Omit<NameplateLine, "understood" | "leftOver">>;
  meaning(match: RegExpExecArray): string;
}

const NUM = PRINTED;
/** Not inside a longer word: letters and digits on either side make another mark of it. */
const ALONE = String.raw`(?<![\w.,/])`;
const END = String.raw`(?![\w/])`;

/** Figures of hundreds and thousands: only of these can a sign before three digits set thousands apart. */
const LARGE: ReadonlySet<PlateField> = new Set(["volts", "speed", "power"]);

/** What a plate's figure says, thousands written together: 1.425 r/min is 1425. */
function field(name: PlateField, value = ""): { fields: Partial<Record<PlateField, string>> } {
  const isLarge = LARGE.has(name) && !/k\s*w/i.test(value);
  const plain = value.replace(new RegExp(NUM, "g"), (number) =>
    isLarge ? plainNumber(number) : number.replace(",", "."),
  );
  return { fields: { [name]: plain.trim() } };
}

/** The first number of "220-240": the plate's own range begins there. */
function rule(pattern: string, take: Rule["take"], meaning: Rule["meaning"]): Rule {
  return { pattern: new RegExp(ALONE + pattern, "i"), take, meaning };
}

/** Tried in this order; each takes its piece out of the line. */
const RULES: readonly Rule[] = [
  rule(
    String.raw`(?:c(?:ap(?:acitor)?)?\.?\s*[:=]?\s*)?(${NUM}\s*(?:[uμ]\s*f|mfd)(?:\s*[/,]?\s*\d{2,3}\s*v(?:ac|~)?)?)${END}`,
    (match) => ({ capacitor: match[1] ?? "" }),
    (match) => `capacitor ${match[1]}`,
  ),
  rule(
    String.raw`(?:type|model|mod\.?|ser(?:ial)?\.?(?:\s*no\.?)?|no\.?)\s*[:.]?\s*([A-Z0-9][\w./-]{1,30})`,
    (match) => ({ typeCode: match[1] ?? "" }),
    (match) => `type or serial ${match[1]}`,
  ),
  rule(
    String.raw`((?:peak|max(?:imum)?\.?|pmpo)\s*:?\s*)(${NUM}(?:\s*/\s*\d+)?\s*(?:hp|k?w(?:atts?)?))${END}`,
    (match) => ({ ...field("power", match[2]), powerIs: "peak" }),
    (match) => `a peak of ${match[2]}: not what it does for long`,
  ),
  rule(
    String.raw`(${NUM}(?:\s*/\s*\d+)?\s*(?:hp|k?w(?:atts?)?))\s*(?:peak|max(?:imum)?\.?|pmpo)${END}`,
    (match) => ({ ...field("power", match[1]), powerIs: "peak" }),
    (match) => `a peak of ${match[1]}: not what it does for long`,
  ),
  rule(
    String.raw`(?:input|p1|in)\s*:?\s*(${NUM}\s*k?w(?:atts?)?)${END}`,
    (match) => ({ ...field("power", match[1]), powerIs: "input" }),
    (match) => `takes in ${match[1]}`,
  ),
  rule(
    String.raw`(?:output|shaft|p2|out)\s*:?\s*(${NUM}(?:\s*/\s*\d+)?\s*(?:hp|k?w(?:atts?)?))${END}`,
    (match) => ({ ...field("power", match[1]), powerIs: "output" }),
    (match) => `gives ${match[1]} at the shaft`,
  ),
  rule(
    String.raw`(${NUM}(?:\s*/\s*\d+)?\s*h\.?p\.?)(?![\w/])`,
    (match) => ({ ...field("power", match[1]), powerIs: "output" }),
    (match) => `${match[1]}: horsepower is what the shaft gives`,
  ),
  rule(
    String.raw`(${NUM}\s*k?w(?:atts?)?)${END}`,
    (match) => field("power", match[1]),
    (match) => `${match[1]}, in or out not said`,
  ),
  rule(
    String.raw`(${NUM})(?:\s*[-–/]\s*${NUM})?\s*v(?:olts?|ac|~)?\s*~?${END}`,
    (match) => field("volts", match[1]),
    (match) => `${match[1]} V`,
  ),
  rule(
    String.raw`(${NUM})(?:\s*[-–/]\s*${NUM})?\s*(?:hz|c/s|~\s*hz)${END}`,
    (match) => field("hertz", match[1]),
    (match) => `${match[1]} Hz`,
  ),
  rule(
    String.raw`(${NUM})\s*(?:a|amps?)${END}`,
    (match) => field("amps", match[1]),
    (match) => `${match[1]} A`,
  ),
  rule(
    String.raw`(?:n\s*=?\s*)?(${NUM})\s*(?:r\s*/\s*min|rpm|u\s*/\s*min|min-1|/min)${END}`,
    (match) => field("speed", match[1]),
    (match) => `${match[1]} turns a minute`,
  ),
  rule(
    String.raw`(IP\s?[\dX][\dX])(?!\w)`,
    (match) => ({ fields: { enclosure: match[1] ?? "" } }),
    (match) => `enclosure ${match[1]}: against touch and water`,
  ),
  rule(
    String.raw`((?:S[1-9]|KB)(?:\s*\d+(?:\s*/\s*\d+)?\s*(?:min|%))*)(?!\w)`,
    (match) => ({ fields: { duty: match[1] ?? "" } }),
    (match) => `duty ${match[1]}: how long it may run`,
  ),
  // The square in the square of a plate is typed as two strokes; alone they are the class.
  rule(
    String.raw`(?:(?:protection\s*)?class\s*(i{1,3})(?!\w)|(i{1,3})(?![\w.])|double\s+insulated)`,
    (match) => {
      const strokes = (match[1] ?? match[2] ?? "ii").length;
      return { protectionClass: strokes === 1 ? "class-1" : strokes === 2 ? "class-2" : "class-3" };
    },
    (match) => `protection class ${(match[1] ?? match[2] ?? "II").toUpperCase()}`,
  ),
];

/** Marks that say something but fill no field here. */
const KNOWN_WORDS: readonly { readonly pattern: RegExp; readonly meaning: string }[] = [
  { pattern: /(?<!\w)(?:cos\s*[φ\w]*\s*)0[.,]\d+/i, meaning: "power factor" },
  {
    pattern: /(?<!\w)(?:ins(?:ulation)?\.?\s*(?:cl(?:ass)?\.?)?\s*|th\.?\s*cl\.?\s*)[ABEFH](?!\w)/i,
    meaning: "thermal class of the winding",
  },
];

const UNIT_FIRST = /^\s*(?:v|hz|a|k?w|hp|rpm)\s*[:=]?\s*\d/i;

/** A plate that writes its units before its numbers, V 230 Hz 50, turned round. */
function unitsBehind(line: string): string {
  if (!UNIT_FIRST.test(line)) return line;
  return line.replace(
    new RegExp(String.raw`(?<!\w)(v|hz|a|k?w|hp|rpm)\s*[:=]?\s*(${NUM}(?:\s*/\s*\d+)?)(?!\w)`, "gi"),
    "$2 $1",
  );
}

/**
 * A nameplate typed as it stands, whole or in part: 230 V 50 Hz 3.4 A 1/2 hp 1425 r/min.
 * What it does not say is left out; nothing is guessed. Horsepower is taken as given at the shaft (usual practice).
 * @example parseNameplate("230V~ 50Hz 1/2 HP").fields // { volts: "230", hertz: "50", power: "1/2 HP" }
 */
export function parseNameplate(typed: string): NameplateLine {
  let rest = unitsBehind(normaliseSigns(typed));
  const understood: PlatePiece[] = [];
  let line: Omit<NameplateLine, "understood" | "leftOver"> = { fields: {}, powerIs: "not-said" };
  for (const { pattern, take, meaning } of RULES) {
    const match = pattern.exec(rest);
    if (!match) continue;
    const { fields, ...said } = take(match);
    const isKnown = fields !== undefined && Object.keys(fields).some((name) => name in line.fields);
    if (isKnown) continue;
    line = { ...line, ...said, fields: { ...line.fields, ...fields } };
    understood.push({ text: match[0].trim(), meaning: meaning(match) });
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
  }
  for (const { pattern, meaning } of KNOWN_WORDS) {
    const match = pattern.exec(rest);
    if (match) understood.push({ text: match[0].trim(), meaning });
  }
  return { ...line, understood, leftOver: rest.replace(/[\s~,;|]+/g, " ").trim() };
}
