import {
  COLOURS,
  type LegibleColour,
  type Marked,
  markedBy,
  possibleValues,
} from "@/core/markings/resistor-bands";
import type { Reading } from "@/core/quantity/reading";
import { type Interval, intervalOf } from "@/core/quantity/uncertainty";
import { field, type InputOf } from "@/core/tools/field.input";
import { errorOn } from "@/core/tools/meter-error";
import { type Analysis, defineTool } from "@/core/tools/tool";

const FIELDS = {
  bands: field.sequence(
    COLOURS.map((colour) => ({ value: colour, label: colour === "burnt" ? "cannot be told" : colour })),
    {
      label: "Bands, from the end they stand nearest to",
      place: "main",
      least: 3,
      most: 6,
      ask: "Tap the bands in order, three to six.",
    },
  ),
  measured: field.reading("resistance", {
    label: "Its ohms, one leg lifted",
    place: "main",
    placeholder: "14.9k",
    optional: true,
  }),
  meter: field.meter("resistance", { label: "Meter", optional: true }),
} as const;

const CODES = [
  "bands/marked",
  "bands/not-a-value",
  "bands/inside",
  "bands/on-the-edge",
  "bands/above",
  "bands/below",
  "bands/open",
  "bands/burnt",
  "bands/burnt-none",
  "bands/burnt-fits",
  "bands/not-taken",
  "bands/read-from-the-other-end",
  "bands/perhaps-the-other-end",
  "bands/not-preferred",
  "bands/temperature",
  "bands/heat",
  "bands/no-meter",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

const isLegible = (bands: Input["bands"]): bands is readonly LegibleColour[] => !bands.includes("burnt");

/** The bands as they can be read: from the end they were given, or from the other where only that makes sense. */
function bestReading(bands: readonly LegibleColour[]): {
  readonly marked: Marked | undefined;
  readonly cautions: Said[];
} {
  const [given, turned] = [markedBy(bands), markedBy([...bands].reverse())];
  if (!given)
    return {
      marked: turned,
      cautions: turned ? [{ code: "bands/read-from-the-other-end", params: {} }] : [],
    };
  const other = turned?.isPreferred && turned.ohms !== given.ohms ? turned : undefined;
  if (given.isPreferred) return { marked: given, cautions: [] };
  return {
    marked: given,
    cautions: [
      { code: "bands/not-preferred", params: { ohms: given.ohms } },
      ...(other ? [{ code: "bands/perhaps-the-other-end" as const, params: { ohms: other.ohms } }] : []),
    ],
  };
}

function intervalFor(value: number, meter: Input["meter"]): Interval {
  if (!meter) return { lower: value, upper: value };
  return intervalOf(value, errorOn(meter, value));
}

interface Judged {
  readonly verdict: Answer["verdict"];
  readonly code: Said["code"];
  /** Answer of the move that asks for the ohms of a bleed resistor. */
  readonly outcomeId?: "right" | "open";
}

/** Another path beside it can only lower what is read: too high is proof, too low is not. */
function judge(reading: Reading, measured: Interval | undefined, band: Interval): Judged {
  if (reading.kind === "over-range") return { verdict: "faulty", code: "bands/open", outcomeId: "open" };
  if (!measured) return { verdict: "undecided", code: "bands/not-taken" };
  if (measured.lower > band.upper) return { verdict: "faulty", code: "bands/above", outcomeId: "open" };
  if (measured.upper < band.lower) return { verdict: "suspect", code: "bands/below" };
  const isInside = measured.lower >= band.lower && measured.upper <= band.upper;
  return isInside
    ? { verdict: "sound", code: "bands/inside", outcomeId: "right" }
    : { verdict: "undecided", code: "bands/on-the-edge" };
}

function figuresOf(
  { ohms, tolerance }: Marked,
  measured: Interval | undefined,
  value: number | undefined,
): Answer["figures"] {
  const nominal = {
    id: "marked",
    label: "marked resistance",
    value: ohms,
    unit: "Ω",
    lower: ohms * (1 - tolerance),
    upper: ohms * (1 + tolerance),
  };
  if (value === undefined || !measured) return [nominal];
  const limit = value < ohms ? nominal.lower : nominal.upper;
  return [
    { id: "measured", label: "resistance", value, unit: "Ω", ...measured, limit, limitSource: "mark" },
    nominal,
  ];
}

const SOURCES = ["iec-60062", "iec-60063"];

function nothing(code: Said["code"], params: Said["params"] = {}): Answer {
  return {
    verdict: "undecided",
    figures: [],
    reasons: [{ code, params }],
    cautions: [],
    sources: SOURCES,
    evidence: [],
  };
}

const MOST_LISTED = 12;

/** What a burnt band leaves: the preferred values that the other bands allow, and those the reading fits. */
function burnt(bands: Input["bands"], value: number | undefined): Answer {
  const possible = possibleValues(bands);
  const [lowest, highest] = [possible[0], possible.at(-1)];
  if (!lowest || !highest) return nothing("bands/burnt-none");
  const fits =
    value === undefined
      ? []
      : possible.filter(({ ohms, tolerance }) => Math.abs(value / ohms - 1) <= tolerance);
  const listed = (fits.length > 0 ? fits : possible).map(({ ohms }) => ohms);
  const params = {
    count: listed.length,
    lowest: listed[0] ?? 0,
    highest: listed.at(-1) ?? 0,
    values: listed.slice(0, MOST_LISTED).join(),
  };
  return {
    ...nothing(fits.length > 0 ? "bands/burnt-fits" : "bands/burnt", params),
    figures: listed.slice(0, MOST_LISTED).map((ohms, index) => ({
      id: `possible-${index + 1}`,
      label: "possible value",
      value: ohms,
      unit: "Ω",
    })),
    cautions: [{ code: "bands/heat", params: {} }],
  };
}

function analyse(input: Input): Answer {
  const { bands, measured: reading, meter } = input;
  const value = reading?.kind === "value" ? reading.value : undefined;
  if (!isLegible(bands)) return burnt(bands, value);
  const { marked, cautions } = bestReading(bands);
  if (!marked) return nothing("bands/not-a-value");
  const measured = value === undefined ? undefined : intervalFor(value, meter);
  const { ohms, tolerance, perMillion } = marked;
  const band = { lower: ohms * (1 - tolerance), upper: ohms * (1 + tolerance) };
  const judged: Judged = reading
    ? judge(reading, measured, band)
    : { verdict: "undecided", code: "bands/marked" };
  return {
    verdict: judged.verdict,
    figures: figuresOf(marked, measured, value),
    reasons: [{ code: judged.code, params: { ohms, tolerance, ...(value === undefined ? {} : { value }) } }],
    cautions: [
      ...cautions,
      ...(perMillion === undefined ? [] : [{ code: "bands/temperature" as const, params: { perMillion } }]),
      ...(value !== undefined && !meter ? [{ code: "bands/no-meter" as const, params: {} }] : []),
    ],
    sources: SOURCES,
    evidence: judged.outcomeId
      ? [{ moveId: "bleed-ohms", outcomeId: judged.outcomeId, circumstance: "cold" }]
      : [],
  };
}

/**
 * What the colour bands of a resistor say, three to six of them, and whether its ohms agree.
 *
 * Digits, multiplier, tolerance (20 % without a band) and temperature coefficient by the code for markings; the value is
 * held against the preferred numbers of its tolerance, which tells a pair of bands that were mixed up or read from the
 * wrong end. Where a band is burnt, every preferred value that the others allow is listed. A path beside it can only
 * lower what the meter shows: too high or open is proof, too low asks for a leg to be lifted. Ohms.
 * @example brown green orange gold → 15 kΩ ±5 %, 14.25 to 15.75 kΩ
 */
export const tool = defineTool({
  id: "resistor-bands",
  version: 1,
  topic: "resistor",
  title: "Resistor by its colour bands",
  about: "brown green orange gold · 15 kΩ ±5 %",
  how: "One leg lifted, drained. The first band stands nearer to its end; gold and silver come last.",
  waiting: "Its value comes here with the third band, the verdict with its ohms.",
  judges: ["bleed-ohms"],
  stations: ["start-circuit", "board"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: [],
  next: { faulty: "isolate", suspect: "measure", sound: "isolate", undecided: "isolate" },
  takesMarking: { kind: "bands", field: "bands" },
  fields: FIELDS,
  codes: CODES,
  example: {
    bands: ["brown", "green", "orange", "gold"],
    measured: "14.9k",
    meter: { percent: 0.8, counts: 2, resolution: "10" },
  },
  analyse,
});
