import { linearRegression } from "simple-statistics";
import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { Reading } from "@/core/quantity/reading";
import { type Kelvin, kelvin, type Ohms, ohms } from "@/core/quantity/units";
import { field, type InputOf, type TimedReading } from "@/core/tools/field.input";
import { type Analysis, defineTool } from "@/core/tools/tool";
import { METALS, sharePerKelvin, windingTemperature } from "@/core/windings/temperature";

const FIELDS = {
  cold: field.reading("resistance", {
    label: "Winding, cold",
    leads: true,
    ask: "Read the winding before the run.",
  }),
  coldAt: field.reading("temperature", {
    label: "Room, when it was cold",
    placeholder: "21 °C",
    ask: "Say how warm the room was then.",
  }),
  hot: field.series("resistance", {
    label: "Winding, after switch-off",
    leads: true,
    most: 8,
    place: "main",
    ask: "Type the seconds since switch-off and the ohms.",
  }),
  roomAt: field.reading("temperature", {
    label: "Room, at the end of the run",
    placeholder: "23 °C",
    ask: "Say how warm the room is now.",
  }),
  meter: field.meter("resistance", { label: "Meter" }),
  metal: field.choice(METALS, { label: "Wound with", preset: "copper" }),
  class: field.choice(
    [
      { value: "a", label: "A, 105" },
      { value: "e", label: "E, 120" },
      { value: "b", label: "B, 130" },
      { value: "f", label: "F, 155" },
      { value: "h", label: "H, 180" },
      { value: "not-known", label: "Not known" },
    ],
    { label: "Insulation class on the plate", preset: "not-known" },
  ),
} as const;

const CODES = [
  "rise/within",
  "rise/above",
  "rise/on-the-edge",
  "rise/class-not-known",
  "rise/read-too-late",
  "rise/not-read",
  "rise/not-hotter",
  "rise/extrapolated",
  "rise/one-reading",
  "rise/not-falling",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

interface Cooled {
  /** Seconds since switch-off. */
  readonly at: number;
  /** Kelvin above the room. */
  readonly rise: number;
}

export interface AtSwitchOff {
  readonly rise: number;
  /** `extrapolated`: along the cooling curve; `one-reading`, `not-falling`: the highest that was read. */
  readonly how: "extrapolated" | "one-reading" | "not-falling";
  readonly firstAt: number;
  /** Times the error of one reading that the way back to switch-off makes of it. */
  readonly grows: number;
  /** Kelvin that the readings scatter about their curve, taken back to switch-off: twice the standard error. */
  readonly scatter: number;
}

interface Fit {
  /** Slope and value at t = 0 of a straight line. */
  readonly m: number;
  readonly b: number;
}

/**
 * What following a line back to t = 0 adds: how much one error in every reading can grow (the sum of the weights that they
 * have in the value there), and twice the standard error of that value from their scatter. Source: gum.
 */
function wayBack(points: readonly (readonly [at: number, y: number])[], { m, b }: Fit) {
  const mean = points.reduce((sum, [at]) => sum + at, 0) / points.length;
  const spread = points.reduce((sum, [at]) => sum + (at - mean) ** 2, 0);
  const grows = points.reduce(
    (sum, [at]) => sum + Math.abs(1 / points.length - (mean * (at - mean)) / spread),
    0,
  );
  const squares = points.reduce((sum, [at, y]) => sum + (y - m * at - b) ** 2, 0);
  const free = points.length - 2;
  const standard = free > 0 ? Math.sqrt((squares / free) * (1 / points.length + mean ** 2 / spread)) : 0;
  return { grows, scatter: 2 * standard };
}

/**
 * Rise at the moment of switch-off from readings on the way down: the cooling curve rise(t) = A·e^(−t/τ) is a straight
 * line in its logarithm, fitted by least squares and followed back to t = 0. With one reading, or where it does not
 * fall, the highest reading stands. Seconds and kelvin. Source: physics.
 * @example riseAtSwitchOff([{ at: 10, rise: 52 }, { at: 30, rise: 48 }]) // 54.1 K, extrapolated
 */
export function riseAtSwitchOff(cooled: readonly Cooled[]): AtSwitchOff {
  const highest = Math.max(...cooled.map(({ rise }) => rise));
  const firstAt = Math.min(...cooled.map(({ at }) => at));
  const falling = cooled.filter(({ rise }) => rise > 0);
  const moments = new Set(falling.map(({ at }) => at));
  const as = (how: AtSwitchOff["how"]) => ({ rise: highest, how, firstAt, grows: 1, scatter: 0 });
  if (moments.size < 2) return as("one-reading");
  const points = falling.map(({ at, rise }): [number, number] => [at, Math.log(rise)]);
  const fit = linearRegression(points);
  if (fit.m >= 0) return as("not-falling");
  const rise = Math.exp(fit.b);
  const { grows, scatter } = wayBack(points, fit);
  // In the logarithm an error weighs by what it is of the lowest reading.
  const lowest = Math.min(...falling.map((one) => one.rise));
  return { rise, how: "extrapolated", firstAt, grows: (grows * rise) / lowest, scatter: rise * scatter };
}

const si = (reading: Reading): number | undefined => (reading.kind === "value" ? reading.value : undefined);
const halfDigit = (reading: Reading): number =>
  reading.kind === "value" ? (reading.resolution ?? 0) / 2 : 0;

interface Known {
  readonly cold: Ohms;
  readonly coldAt: Kelvin;
  readonly roomAt: Kelvin;
  readonly hot: readonly { readonly at: number; readonly ohms: Ohms }[];
}

function timed({ at, reading }: TimedReading): Known["hot"] {
  const [seconds, read] = [si(at), si(reading)];
  return seconds === undefined || read === undefined ? [] : [{ at: seconds, ohms: ohms(read) }];
}

function known(input: Input): Known | undefined {
  const [cold, coldAt, roomAt] = [si(input.cold), si(input.coldAt), si(input.roomAt)];
  const hot = input.hot.flatMap(timed);
  if (cold === undefined || cold <= 0 || coldAt === undefined || roomAt === undefined || hot.length === 0)
    return undefined;
  return { cold: ohms(cold), coldAt: kelvin(coldAt), roomAt: kelvin(roomAt), hot };
}

/**
 * Half width of the rise, kelvin. Both resistances come from one range of one meter, so its percentage cancels in their
 * ratio: what is left is counts of the last digit at both, and half a digit of each thermometer reading.
 */
function errorOf(input: Input, { cold, coldAt, hot }: Known): number {
  const { counts, resolution } = input.meter;
  const off = counts * (si(resolution) ?? 0);
  const highest = Math.max(...hot.map((one) => one.ohms));
  const span = 1 / sharePerKelvin(coldAt, input.metal);
  return (span * off * (1 + highest / cold)) / cold + halfDigit(input.coldAt) + halfDigit(input.roomAt);
}

function undecided(code: Said["code"], params: Said["params"] = {}): Answer {
  return {
    verdict: "undecided",
    figures: [],
    reasons: [{ code, params }],
    cautions: [],
    sources: ["physics"],
    evidence: [],
  };
}

function judged(
  rise: number,
  error: number,
  limit: { readonly value: number } | undefined,
  isTooLate: boolean,
): Pick<Answer, "verdict" | "reasons"> {
  const params = { rise, ...(limit ? { limit: limit.value } : {}) };
  const say = (verdict: Answer["verdict"], code: Said["code"]) => ({ verdict, reasons: [{ code, params }] });
  if (!limit) return say("undecided", "rise/class-not-known");
  if (rise - error > limit.value) return say("faulty", "rise/above");
  // One reading long after switch-off can only be too low: it proves too hot, never cool enough.
  if (isTooLate) return say("undecided", "rise/read-too-late");
  return rise + error <= limit.value ? say("sound", "rise/within") : say("undecided", "rise/on-the-edge");
}

function analyse(input: Input, limits: Limits): Answer {
  const given = known(input);
  if (!given) return undecided("rise/not-read");
  const { cold, coldAt, roomAt, hot } = given;
  const cooled = hot.map(({ at, ohms: read }) => ({
    at,
    rise: windingTemperature(cold, coldAt, read, input.metal) - roomAt,
  }));
  const { rise, how, firstAt, grows, scatter } = riseAtSwitchOff(cooled);
  if (rise <= 0) return undecided("rise/not-hotter", { rise });
  const error = errorOf(input, given) * grows + scatter;
  const limit =
    input.class === "not-known" ? undefined : limitOf(limits, `winding-rise-class-${input.class}`);
  const within = limitOf(limits, "winding-rise-first-reading").value;
  const isTooLate = how !== "extrapolated" && firstAt > within;
  return {
    ...judged(rise, error, limit, isTooLate),
    figures: [
      {
        id: "rise",
        label: "mean rise of the winding",
        value: rise,
        unit: "ΔK",
        lower: Math.max(0, rise - error),
        upper: rise + error,
        ...(limit ? { limit: limit.value, limitId: limit.id, limitSource: limit.source } : {}),
      },
      { id: "temperature", label: "mean temperature of the winding", value: roomAt + rise, unit: "K" },
    ],
    cautions: [{ code: `rise/${how}`, params: { seconds: firstAt, within } }],
    sources: ["physics", ...(limit ? [limit.source] : [])],
    evidence: [],
  };
}

/**
 * Mean temperature rise of a winding from its cold and hot resistance (method of resistance variation).
 *
 * Copper: Δθ = (R2 − R1)/R1 · (k + θ1) − (θ2 − θ1), k = 234.5 °C (225 aluminium). Readings after switch-off are followed
 * back along their cooling curve to the moment of switch-off; what the way back adds to the error of each is counted. Held against the rise that the insulation class allows.
 * Kelvin. A single reading long after switch-off proves too hot, never cool enough; without the class the rise is given
 * and no verdict. Test leads are taken off both resistances.
 */
export const tool = defineTool({
  id: "temperature-rise",
  version: 2,
  topic: "winding",
  title: "Temperature rise by resistance",
  about: "12.4 Ω cold at 21 °C, 15.1 Ω hot in a room of 23 °C",
  how: "Read the winding cold. Run it as it is used until it gets no hotter, switch off, plug out, let it stop, drain it, and read again at once, then every ten seconds or so.",
  waiting: "The rise comes here with the first reading after switch-off; each further one makes it surer.",
  judges: [],
  stations: ["windings"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: [
    "winding-rise-class-a",
    "winding-rise-class-e",
    "winding-rise-class-b",
    "winding-rise-class-f",
    "winding-rise-class-h",
    "winding-rise-first-reading",
  ],
  next: { faulty: "isolate", suspect: "isolate", sound: "isolate", undecided: "isolate" },
  fields: FIELDS,
  codes: CODES,
  example: {
    cold: "12.4",
    coldAt: "21 °C",
    hot: [{ at: "8", reading: "15.1" }],
    roomAt: "23 °C",
    meter: { percent: 0.8, counts: 1, resolution: "0.01" },
    metal: "copper",
    class: "b",
  },
  analyse,
});
