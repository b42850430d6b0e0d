import type { Limits } from "@/core/knowledge/types";
import { allowedBand } from "@/core/markings/allowed-band";
import { type CapacitorMark, parseCapacitorMark } from "@/core/markings/capacitor";
import { field, type InputOf } from "@/core/tools/field.input";
import { type Analysis, defineTool } from "@/core/tools/tool";

const understood = (mark: CapacitorMark): string => mark.understood.map(({ meaning }) => meaning).join(" · ");
const part = (label: string) =>
  ({ label, example: "4 μF ±5 % 450 VAC", ask: "Type what is printed on it.", understood }) as const;

const FIELDS = {
  way: field.choice(
    [
      { value: "parallel", label: "Side by side" },
      { value: "series", label: "One after the other" },
    ],
    { label: "Joined", place: "main", preset: "parallel" },
  ),
  first: field.marking(parseCapacitorMark, { ...part("First"), place: "main" }),
  second: field.marking(parseCapacitorMark, { ...part("Second"), place: "main" }),
  third: field.marking(parseCapacitorMark, { ...part("Third, if any"), optional: true }),
  wanted: field.marking(parseCapacitorMark, {
    ...part("In the place of"),
    fill: "part-marking",
    optional: true,
  }),
} as const;

const CODES = [
  "joined/fits",
  "joined/value-off",
  "joined/volts-low",
  "joined/mixed",
  "joined/makes",
  "joined/volts-not-marked",
  "joined/sharing",
  "joined/assumed",
  "joined/series-start",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

/** A capacitor as it may be, farads, and the volts it is marked for. */
export interface Part {
  readonly min: number;
  readonly nominal: number;
  readonly max: number;
  readonly volts: number | undefined;
}

export interface Joined {
  readonly min: number;
  readonly nominal: number;
  readonly max: number;
  /** AC volts that the whole bears, each part within its own mark in the worst case; undefined where one is not marked. */
  readonly volts: number | undefined;
  /** Share of the volts on the part that comes off worst, one after the other. */
  readonly worstShare: number;
}

const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);
const inSeries = (values: readonly number[]): number => 1 / sum(values.map((one) => 1 / one));

/**
 * Capacitors side by side or one after the other. Side by side C adds and the lowest volts hold; one after the other 1/C
 * adds, and volts share as 1/C: worst for a part at its own least beside the others at their most. Farads and volts.
 * Source: physics.
 * @example two of 8 μF ±10 % 450 V one after the other: 4 μF, the worst takes 0.55 of the volts, 818 V in all
 */
export function join(parts: readonly Part[], way: Input["way"]): Joined {
  const add = way === "parallel" ? sum : inSeries;
  const shares = parts.map(({ min }, index) => {
    const others = parts.filter((_, at) => at !== index).map(({ max }) => 1 / max);
    return way === "parallel" ? 1 : 1 / min / (1 / min + sum(others));
  });
  const borne = parts.map(({ volts }, index) =>
    volts === undefined ? undefined : volts / (shares[index] ?? 1),
  );
  const known = borne.filter((one) => one !== undefined);
  return {
    min: add(parts.map(({ min }) => min)),
    nominal: add(parts.map(({ nominal }) => nominal)),
    max: add(parts.map(({ max }) => max)),
    volts: known.length === parts.length ? Math.min(...known) : undefined,
    worstShare: Math.max(...shares),
  };
}

interface Read extends Part {
  readonly isAssumed: boolean;
}

/** A mark without a tolerance is given the one that its kind is sold with. */
function partOf(mark: CapacitorMark, limits: Limits): Read {
  const { min, max, isAssumed } = allowedBand(mark, mark.role, limits);
  return { min, max, nominal: mark.nominal ?? (min + max) / 2, volts: mark.voltsAc, isAssumed };
}

function against(
  joined: Joined,
  wanted: Read,
): { readonly verdict: Answer["verdict"]; readonly code: Said["code"] } {
  const isInside = joined.nominal >= wanted.min && joined.nominal <= wanted.max;
  if (!isInside) return { verdict: "suspect", code: "joined/value-off" };
  const isLow = wanted.volts !== undefined && joined.volts !== undefined && joined.volts < wanted.volts;
  return isLow ? { verdict: "suspect", code: "joined/volts-low" } : { verdict: "sound", code: "joined/fits" };
}

function analyse(input: Input, limits: Limits): Answer {
  const { way, first, second, third, wanted: stand } = input;
  const marks = [first, second, ...(third ? [third] : [])];
  const parts = marks.map((mark) => partOf(mark, limits));
  const wanted = stand ? partOf(stand, limits) : undefined;
  const sources = ["physics"];
  const joined = join(parts, way);
  const roles = new Set(
    [...marks, ...(stand ? [stand] : [])].map(({ role }) => role).filter((role) => role !== "not-known"),
  );
  const isMixed = roles.size > 1;
  const judged = isMixed
    ? ({ verdict: "suspect", code: "joined/mixed" } as const)
    : wanted
      ? against(joined, wanted)
      : ({ verdict: "undecided", code: "joined/makes" } as const);
  const params = {
    value: joined.nominal,
    volts: joined.volts ?? 0,
    wanted: wanted?.volts ?? 0,
    min: wanted?.min ?? 0,
    max: wanted?.max ?? 0,
  };
  const isUnmarked = joined.volts === undefined;
  return {
    verdict: judged.verdict === "sound" && isUnmarked ? "undecided" : judged.verdict,
    figures: [
      {
        id: "capacitance",
        label: "together",
        value: joined.nominal,
        unit: "F",
        lower: joined.min,
        upper: joined.max,
      },
      ...(isUnmarked
        ? []
        : [{ id: "volts", label: "volts that they bear together", value: joined.volts ?? 0, unit: "V" }]),
    ],
    reasons: [{ code: judged.code, params }],
    cautions: [
      ...(isUnmarked ? [{ code: "joined/volts-not-marked" as const, params: {} }] : []),
      ...(way === "series"
        ? [{ code: "joined/sharing" as const, params: { share: joined.worstShare } }]
        : []),
      ...(way === "series" && roles.has("start")
        ? [{ code: "joined/series-start" as const, params: {} }]
        : []),
      ...(parts.some(({ isAssumed }) => isAssumed) ? [{ code: "joined/assumed" as const, params: {} }] : []),
    ],
    sources,
    evidence: [],
  };
}

/**
 * What two or three capacitors come to together, and whether they may stand in the place of another.
 *
 * Side by side the microfarads add and the lowest marked volts hold for all. One after the other 1/C adds and the volts
 * share as 1/C: the worst is a part at its own least beside the others at their most, and each must stay within its mark.
 * Start and run parts are never mixed. Farads and volts.
 * @example 4 μF and 2 μF side by side → 6 μF
 */
export const tool = defineTool({
  id: "combination",
  version: 1,
  topic: "capacitor",
  title: "Capacitors together",
  about: "4 μF and 2 μF side by side · 6 μF 450 V",
  how: "Drained parts only; where two stand for one, both are fixed, insulated, and each has its own resistor if the old one had one.",
  waiting: "What they come to together stands here with both markings.",
  judges: [],
  stations: ["start-circuit"],
  touches: [],
  speaksOf: [],
  limits: [
    "capacitor-run-tolerance-assumed",
    "capacitor-start-tolerance-assumed",
    "capacitor-widest-tolerance",
  ],
  next: { faulty: "match", suspect: "match", sound: "match", undecided: "match" },
  fields: FIELDS,
  codes: CODES,
  example: { way: "parallel", first: "4 μF ±5 % 450 VAC", second: "2 μF ±5 % 450 VAC" },
  analyse,
});
