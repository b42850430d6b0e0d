/** Colour bands of resistors. Source: iec-60062; the tolerances of orange, yellow and grey are recalled with less certainty. */

export const COLOURS = [
  "black",
  "brown",
  "red",
  "orange",
  "yellow",
  "green",
  "blue",
  "violet",
  "grey",
  "white",
  "gold",
  "silver",
  "burnt",
] as const;
/** `burnt`: the band can no longer be told. */
export type Colour = (typeof COLOURS)[number];
export type LegibleColour = Exclude<Colour, "burnt">;

export const LEGIBLE = COLOURS.filter((colour): colour is LegibleColour => colour !== "burnt");

const DIGITS: readonly LegibleColour[] = LEGIBLE.slice(0, 10);
const TOLERANCE: ReadonlyMap<LegibleColour, number> = new Map([
  ["brown", 0.01],
  ["red", 0.02],
  ["orange", 0.0005],
  ["yellow", 0.0002],
  ["green", 0.005],
  ["blue", 0.0025],
  ["violet", 0.001],
  ["grey", 0.0001],
  ["gold", 0.05],
  ["silver", 0.1],
]);
/** Without a tolerance band. */
const NO_BAND_TOLERANCE = 0.2;
/** Parts per million a kelvin. */
const TEMPERATURE: ReadonlyMap<LegibleColour, number> = new Map([
  ["black", 250],
  ["brown", 100],
  ["red", 50],
  ["orange", 15],
  ["yellow", 25],
  ["green", 20],
  ["blue", 10],
  ["violet", 5],
  ["grey", 1],
]);

function multiplierOf(colour: LegibleColour): number {
  if (colour === "gold") return 0.1;
  return colour === "silver" ? 0.01 : 10 ** DIGITS.indexOf(colour);
}

/** A resistor as its bands say it. */
export interface Marked {
  readonly ohms: number;
  readonly tolerance: number;
  /** Parts per million a kelvin, where a sixth band says it. */
  readonly perMillion: number | undefined;
  readonly isPreferred: boolean;
}

const E24 = [10, 11, 12, 13, 15, 16, 18, 20, 22, 24, 27, 30, 33, 36, 39, 43, 47, 51, 56, 62, 68, 75, 82, 91];
const every = (step: number): number[] => E24.filter((_, index) => index % step === 0);
/** E48 and finer follow the formula to three digits, but for one value of E192. */
const computed = (count: number): number[] =>
  Array.from({ length: count }, (_, index) => {
    const value = Math.round(100 * 10 ** (index / count));
    return value === 919 ? 920 : value;
  });

/** Preferred numbers, three digits, sold in a tolerance: its own series and the coarser ones. Source: iec-60063. */
export function preferredNumbers(tolerance: number): ReadonlySet<number> {
  const coarse = tolerance >= 0.2 ? every(4) : tolerance >= 0.1 ? every(2) : E24;
  const fine = tolerance > 0.02 ? [] : computed(tolerance >= 0.02 ? 48 : tolerance >= 0.01 ? 96 : 192);
  return new Set([...coarse.map((one) => one * 10), ...fine]);
}

/**
 * What three to six bands, read from this end, say: two or three digits, the multiplier, the tolerance (20 % where
 * there is no band for it) and the temperature coefficient. Ohms.
 * @returns undefined where a colour cannot stand in its place
 * @example markedBy(["brown", "green", "orange", "gold"]) // 15 kΩ ±5 %, preferred
 */
export function markedBy(bands: readonly LegibleColour[]): Marked | undefined {
  const count = bands.length >= 5 ? 3 : 2;
  const digits = bands.slice(0, count).map((colour) => DIGITS.indexOf(colour));
  const [multiplier, tolerance, temperature] = bands.slice(count);
  if (digits.includes(-1) || multiplier === undefined) return undefined;
  const share = tolerance === undefined ? NO_BAND_TOLERANCE : TOLERANCE.get(tolerance);
  const perMillion = temperature === undefined ? undefined : TEMPERATURE.get(temperature);
  if (share === undefined || (temperature !== undefined && perMillion === undefined)) return undefined;
  const number = digits.reduce((whole, digit) => whole * 10 + digit, 0);
  if (number === 0) return undefined;
  const threeDigits = count === 2 ? number * 10 : number;
  return {
    ohms: Number((number * multiplierOf(multiplier)).toPrecision(12)),
    tolerance: share,
    perMillion,
    isPreferred: preferredNumbers(share).has(threeDigits),
  };
}

/** Every way the burnt bands may have been, and the value each gives: preferred values only, each value once. */
export function possibleValues(bands: readonly Colour[]): readonly Marked[] {
  const ways = bands.reduce<LegibleColour[][]>(
    (sofar, band) =>
      sofar.flatMap((one) => (band === "burnt" ? LEGIBLE : [band]).map((colour) => [...one, colour])),
    [[]],
  );
  const marked = ways.flatMap((way) => markedBy(way) ?? []).filter(({ isPreferred }) => isPreferred);
  return [...new Map(marked.map((one) => [one.ohms, one])).values()].sort(
    (one, other) => one.ohms - other.ohms,
  );
}

const NAMES: ReadonlyMap<string, Colour> = new Map<string, Colour>([
  ...COLOURS.map((colour): [string, Colour] => [colour, colour]),
  ["purple", "violet"],
  ["gray", "grey"],
]);

/**
 * Bands as they are typed in one line, three to six colours.
 * @returns undefined where anything else stands among them
 * @example bandsIn("brown green orange gold") // four bands
 */
export function bandsIn(typed: string): readonly Colour[] | undefined {
  const words = typed
    .trim()
    .toLowerCase()
    .split(/[\s,]+/);
  const found = words.flatMap((word) => NAMES.get(word) ?? []);
  return found.length === words.length && found.length >= 3 && found.length <= 6 ? found : undefined;
}
