import type { Limits } from "@/core/knowledge/types";
import { type AllowedBand, allowedBand } from "@/core/markings/allowed-band";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import {
  type Amps,
  amps,
  type Farads,
  farads,
  type Hertz,
  hertz,
  type Volts,
  volts,
} from "@/core/quantity/units";
import { field, type InputOf } from "@/core/tools/field.input";
import { errorOn } from "@/core/tools/meter-error";
import { type Analysis, defineTool } from "@/core/tools/tool";

const FIELDS = {
  mark: field.marking(parseCapacitorMark, {
    label: "Marking",
    example: "8 μF ±5 % 450 VAC",
    ask: "Type what is printed on it.",
    fill: "part-marking",
    understood: ({ understood }) => understood.map(({ meaning }) => meaning).join(" · "),
  }),
  amps: field.reading("current", {
    label: "Amps in its lead, running",
    place: "main",
    ask: "Read the amps with the clamp round one of its leads.",
  }),
  volts: field.reading("voltage", {
    label: "Volts across it, running",
    place: "main",
    ask: "Read the volts across it, on leads fitted before power.",
  }),
  frequency: field.choice(
    [
      { value: "50", label: "50 Hz" },
      { value: "60", label: "60 Hz" },
    ],
    { label: "Mains", preset: "50", fill: "hertz" },
  ),
  clamp: field.meter("current", { label: "Clamp" }),
  meter: field.meter("voltage", { label: "Meter" }),
} as const;

const CODES = [
  "load/inside",
  "load/below",
  "load/above",
  "load/on-the-edge",
  "load/no-current",
  "load/no-volts",
  "load/not-read",
  "load/start-part",
  "load/no-tolerance",
  "load/formula",
  "load/volts-high",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

/**
 * Capacitance from current and voltage: C = I/(2πfV). Amperes, volts and hertz in, farads out. Source: physics.
 * @example underLoad(0.9, 360, 50) // 7.96 μF
 */
export function underLoad(current: Amps, across: Volts, frequency: Hertz): Farads {
  return farads(current / (2 * Math.PI * frequency * across));
}

function nothing(verdict: Answer["verdict"], code: Said["code"], outcomeId?: string): Answer {
  return {
    verdict,
    figures: [],
    reasons: [{ code, params: {} }],
    cautions: [],
    sources: ["physics"],
    evidence: outcomeId ? [{ moveId: "capacitor-loaded", outcomeId, circumstance: "loaded" }] : [],
  };
}

function judged(lower: number, upper: number, { min, max }: AllowedBand) {
  if (upper < min) return { verdict: "faulty", code: "load/below", outcomeId: "low" } as const;
  if (lower > max) return { verdict: "suspect", code: "load/above", outcomeId: undefined } as const;
  return lower >= min && upper <= max
    ? ({ verdict: "sound", code: "load/inside", outcomeId: "marked" } as const)
    : ({ verdict: "undecided", code: "load/on-the-edge", outcomeId: undefined } as const);
}

function analyse(input: Input, limits: Limits): Answer {
  const { amps: current, volts: across, mark } = input;
  if (mark.role === "start") return nothing("undecided", "load/start-part");
  const isUnread = mark.band === undefined && mark.nominal === undefined;
  if (current.kind !== "value" || across.kind !== "value" || isUnread)
    return nothing("undecided", "load/not-read");
  // Alternating current has no sign: it was read on another range.
  if (current.value < 0 || across.value < 0) return nothing("undecided", "load/not-read");
  // A part that is in the circuit while the motor runs is a run part.
  const band = allowedBand(mark, "run", limits);
  const offAmps = errorOn(input.clamp, current.value, current.resolution);
  const offVolts = errorOn(input.meter, across.value, across.resolution);
  if (across.value <= offVolts) return nothing("undecided", "load/no-volts");
  if (current.value <= offAmps) return nothing("faulty", "load/no-current", "nothing");
  const frequency = hertz(Number(input.frequency));
  const value = underLoad(amps(current.value), volts(across.value), frequency);
  // Each meter at its end: near the last digit of a clamp the sum of shares is too little.
  const [least, most] = [current.value - offAmps, current.value + offAmps];
  const lower = underLoad(amps(least), volts(across.value + offVolts), frequency);
  const upper = underLoad(amps(most), volts(across.value - offVolts), frequency);
  const found = judged(lower, upper, band);
  const limit = value < (band.min + band.max) / 2 ? band.min : band.max;
  const params = { min: band.min, max: band.max, off: value / limit - 1 };
  const isHigh = mark.voltsAc !== undefined && across.value > mark.voltsAc;
  return {
    verdict: found.verdict,
    figures: [
      {
        id: "capacitance",
        label: "capacitance",
        value,
        unit: "F",
        lower,
        upper,
        limit,
        ...(band.limitId === undefined ? {} : { limitId: band.limitId }),
        limitSource: band.source,
      },
    ],
    reasons: [{ code: found.code, params }],
    cautions: [
      { code: "load/formula", params: { factor: 1e6 / (2 * Math.PI * frequency), frequency } },
      ...(band.isAssumed ? [{ code: "load/no-tolerance" as const, params }] : []),
      ...(isHigh
        ? [{ code: "load/volts-high" as const, params: { volts: across.value, marked: mark.voltsAc ?? 0 } }]
        : []),
    ],
    sources: ["physics", "gum", "iec-60252-1"],
    evidence: found.outcomeId
      ? [{ moveId: "capacitor-loaded", outcomeId: found.outcomeId, circumstance: "loaded" }]
      : [],
  };
}

/**
 * A run capacitor's microfarads from its amps and volts while the motor runs, without a capacitance range.
 *
 * C = I/(2πfV): at 50 Hz 3183 times amps over volts, at 60 Hz 2652 times, in microfarads. Held against its mark with both
 * meters' limits of error. Only for a capacitor that stays in the circuit: a start capacitor is gone within a second.
 * Live: leads and clamp are fitted with the plug out, the cover goes back over them. Farads.
 * @example 0.90 A and 360 V at 50 Hz → 7.96 μF
 */
export const tool = defineTool({
  id: "capacitor-under-load",
  version: 2,
  topic: "capacitor",
  title: "Run capacitor from amps and volts",
  about: "8 μF ±5 % · 0.90 A, 360 V at 50 Hz · 7.96 μF",
  how: "Plug out and drained: clamp round one of its leads, meter leads across it, cover back over them. Then power, hands off, read both.",
  waiting: "Microfarads come here with amps and volts.",
  judges: ["capacitor-loaded"],
  stations: ["start-circuit"],
  touches: ["running-parts", "fitted-leads"],
  speaksOf: [],
  limits: ["capacitor-run-tolerance-assumed"],
  next: { faulty: "match", suspect: "isolate", sound: "isolate", undecided: "measure" },
  alsoByHand: true,
  fields: FIELDS,
  codes: CODES,
  example: {
    mark: "8 μF ±5 % 450 VAC",
    amps: "0.90",
    volts: "360",
    frequency: "50",
    clamp: { percent: 1, counts: 1, resolution: "0.01" },
    meter: { percent: 0.8, counts: 3, resolution: "0.1" },
  },
  analyse,
});
