import type { InferType } from "yup";
import { limitOf } from "../../knowledge/resolve-limits";
import type { Limits } from "../../knowledge/types";
import { type CapacitorMark, parseCapacitorMark } from "../../markings/capacitor";
import { denoise } from "../../quantity/decimal";
import type { Reading } from "../../quantity/reading";
import { readingOf } from "../../quantity/reading.input";
import { type Interval, intervalOf, limitOfError } from "../../quantity/uncertainty";
import { type Farads, farads, type Hertz, hertz, type Ohms, ohms } from "../../quantity/units";
import { defineTool, type Evidence, type Figure, type Finding, type Said } from "../tool";
import { capacitorAgainstMarkInput } from "./capacitor-against-mark.input";

type Input = InferType<typeof capacitorAgainstMarkInput>;
type Standing = "inside" | "edge" | "below" | "above" | "open" | "shorted";

/** The band the reading is held against, and whether any of it was assumed. */
export interface AllowedBand {
  readonly min: Farads;
  readonly max: Farads;
  /** `mark` where both ends are printed, else the source of the tolerance that was taken. */
  readonly source: string;
  readonly isAssumed: boolean;
}

/**
 * What the marking allows. Without a printed tolerance a run part is given the widest class (±10 %),
 * a start part −0/+20 %, and a part of unknown kind the widest tolerance sold, either way.
 * Farads. Source: mark, iec-60252-1, iec-60252-2.
 */
export function allowedBand(mark: CapacitorMark, role: CapacitorMark["role"], limits: Limits): AllowedBand {
  if (mark.band) return { ...mark.band, source: "mark", isAssumed: false };
  const nominal = mark.nominal ?? 0;
  const row = (id: string) => limitOf(limits, id);
  if (role === "run") {
    const { value, source } = row("capacitor-run-tolerance-assumed");
    return {
      min: farads(denoise(nominal * (1 - value))),
      max: farads(denoise(nominal * (1 + value))),
      source,
      isAssumed: true,
    };
  }
  if (role === "start") {
    const { value, source } = row("capacitor-start-tolerance-assumed");
    return { min: farads(nominal), max: farads(denoise(nominal * (1 + value))), source, isAssumed: true };
  }
  const { value, source } = row("capacitor-widest-tolerance");
  return {
    min: farads(denoise(nominal * (1 - value))),
    max: farads(denoise(nominal * (1 + value))),
    source,
    isAssumed: true,
  };
}

/**
 * How much a resistor left across raises what a series-mode meter shows: the share D², since C_s = C (1 + D²) with
 * D = 1/(ωRC). Dimensionless. Source: physics. A true value is never above the one shown.
 * @example raisedByBleed(farads(10e-6), ohms(15000), hertz(100)) // 0.000113
 */
export function raisedByBleed(capacitance: Farads, bleed: Ohms, frequency: Hertz): number {
  const dissipation = 1 / (2 * Math.PI * frequency * bleed * capacitance);
  return dissipation * dissipation;
}

/** Where an interval lies against a band: wholly in, across an edge, wholly under or over. */
export function standingOf(
  measured: Interval,
  band: { min: number; max: number },
): "inside" | "edge" | "below" | "above" {
  if (measured.upper < band.min) return "below";
  if (measured.lower > band.max) return "above";
  return measured.lower >= band.min && measured.upper <= band.max ? "inside" : "edge";
}

interface Judged {
  readonly standing: Standing;
  readonly verdict: Finding["verdict"];
  readonly reasons: readonly Said[];
}

function judgeShort(reading: Reading | undefined, limits: Limits): Judged | undefined {
  if (reading?.kind !== "value") return undefined;
  const limit = limitOf(limits, "capacitor-shorted-resistance");
  if (reading.value >= limit.value) return undefined;
  return {
    standing: "shorted",
    verdict: "faulty",
    reasons: [{ code: "capacitor/shorted", params: { resistance: reading.value, limit: limit.value } }],
  };
}

/** How far up a reading is still good: a start part may stand a little above its upper mark. */
function soundMaximum(band: AllowedBand, role: CapacitorMark["role"], limits: Limits): number {
  const allowed = role === "start" ? limitOf(limits, "capacitor-start-above-upper").value : 0;
  return denoise(band.max * (1 + allowed));
}

function soundReason(value: number, band: AllowedBand): Said {
  const params = { min: band.min, max: band.max };
  return value > band.max
    ? { code: "capacitor/a-little-above", params: { over: value / band.max - 1, max: band.max } }
    : { code: "capacitor/inside-mark", params };
}

function judgeValue(
  value: number,
  measured: Interval,
  band: AllowedBand,
  role: CapacitorMark["role"],
  limits: Limits,
): Judged {
  const shareOfMinimum = value / band.min;
  const params = { shareOfMinimum, min: band.min, max: band.max };
  if (value < limitOf(limits, "capacitor-open-share").value * band.min)
    return { standing: "open", verdict: "faulty", reasons: [{ code: "capacitor/open", params }] };
  const standing = standingOf(measured, band);
  const top = soundMaximum(band, role, limits);
  if (standing === "below")
    return { standing, verdict: "faulty", reasons: [{ code: "capacitor/below-mark", params }] };
  if (measured.lower >= band.min && measured.upper <= top)
    return { standing, verdict: "sound", reasons: [soundReason(value, band)] };
  if (measured.lower > top) {
    const over = value / band.max - 1;
    return {
      standing,
      verdict: "suspect",
      reasons: [{ code: "capacitor/above-mark", params: { over, max: band.max } }],
    };
  }
  const side = value - band.min < top - value ? "lower" : "upper";
  return {
    standing,
    verdict: "undecided",
    reasons: [{ code: "capacitor/on-the-edge", params: { ...params, side } }],
  };
}

/** A tolerance that was assumed decides nothing that another one sold for such a part would turn round. */
function softenAssumed(
  judged: Judged,
  measured: Interval,
  band: AllowedBand,
  role: CapacitorMark["role"],
  limits: Limits,
): Judged {
  if (!band.isAssumed || role === "run" || judged.standing === "open") return judged;
  const needsTolerance: Judged = {
    ...judged,
    verdict: "undecided",
    reasons: [{ code: "capacitor/needs-tolerance", params: {} }],
  };
  if (role === "not-known")
    return judged.standing === "below" || judged.standing === "above" ? judged : needsTolerance;
  const lowest = band.min * (1 - limitOf(limits, "capacitor-widest-tolerance").value);
  return judged.standing === "below" && measured.upper >= lowest ? needsTolerance : judged;
}

/** A resistor left across can only raise what the meter shows: low stays proof, anything else does not. */
function softenBleed(judged: Judged, input: Input): Judged {
  const isRaised = input.bleedResistor === "across";
  if (!isRaised || judged.standing === "below" || judged.standing === "open" || judged.standing === "shorted")
    return judged;
  return {
    ...judged,
    verdict: "undecided",
    reasons: [...judged.reasons, { code: "capacitor/lift-the-resistor", params: {} }],
  };
}

function bleedCautions(input: Input, value: Farads | undefined, limits: Limits): Said[] {
  if (input.bleedResistor !== "across") return [];
  const resistance =
    input.bleedResistance === undefined ? undefined : readingOf(input.bleedResistance, "resistance");
  if (value === undefined || value <= 0 || resistance?.kind !== "value" || resistance.value <= 0)
    return [{ code: "capacitor/resistor-across", params: {} }];
  const frequency = hertz(limitOf(limits, "meter-capacitance-frequency").value);
  const raisedBy = raisedByBleed(value, ohms(resistance.value), frequency);
  const misleads = input.meter.mode !== "series" || raisedBy > limitOf(limits, "meter-series-raise").value;
  return [
    { code: misleads ? "capacitor/resistor-misleads" : "capacitor/resistor-small", params: { raisedBy } },
  ];
}

function cautionsOf(
  input: Input,
  mark: CapacitorMark,
  role: CapacitorMark["role"],
  band: AllowedBand,
): Said[] {
  const isOverruled = input.role !== undefined && mark.role !== "not-known" && mark.role !== input.role;
  return [
    ...(band.isAssumed
      ? [{ code: "capacitor/tolerance-assumed", params: { min: band.min, max: band.max } }]
      : []),
    ...(role === "not-known" ? [{ code: "capacitor/role-not-known", params: {} }] : []),
    ...(isOverruled
      ? [{ code: "capacitor/role-overruled", params: { marked: mark.role, given: role } }]
      : []),
    ...(input.temperature === undefined ? [{ code: "capacitor/temperature-not-known", params: {} }] : []),
    ...(mark.second === undefined
      ? []
      : [{ code: "capacitor/dual-can", params: { first: mark.nominal ?? 0, second: mark.second } }]),
  ];
}

function figuresOf(value: number | undefined, measured: Interval | undefined, band: AllowedBand): Figure[] {
  if (value === undefined || !measured) return [];
  const below = value < (band.min + band.max) / 2;
  return [
    {
      id: "capacitance",
      label: "capacitance",
      value,
      unit: "F",
      lower: measured.lower,
      upper: measured.upper,
      limit: below ? band.min : band.max,
      limitSource: band.source,
    },
    { id: "share-of-lower-mark", label: "share of the lower mark", value: value / band.min, unit: "share" },
  ];
}

function evidenceOf(
  role: CapacitorMark["role"],
  standing: Standing | undefined,
  value: number | undefined,
  halfWidth: number,
): Evidence[] {
  if (role === "not-known" || !standing) return [];
  const moveId = role === "start" ? "start-capacitance" : "run-capacitance";
  const likelihood = value === undefined ? undefined : { quantity: "capacitance", value, halfWidth };
  return [{ moveId, outcomeId: standing, ...(likelihood ? { likelihood } : {}) }];
}

/** A meter that shows no number: OL is above its range or a short; under-range is almost nothing there. */
function judgeNoValue(reading: Reading): Judged {
  if (reading.kind === "under-range")
    return { standing: "open", verdict: "suspect", reasons: [{ code: "capacitor/under-range", params: {} }] };
  const code = reading.kind === "over-range" ? "capacitor/over-range" : "capacitor/not-taken";
  return { standing: "edge", verdict: "undecided", reasons: [{ code, params: {} }] };
}

function markOf(text: string): CapacitorMark {
  const parsed = parseCapacitorMark(text);
  if (!parsed.ok) throw new Error(`not validated before use: ${text}`);
  return parsed.value;
}

function analyse(input: Input, limits: Limits): Omit<Finding, "basis"> {
  const mark = markOf(input.mark);
  const role = input.role ?? mark.role;
  const band = allowedBand(mark, role, limits);
  const reading = readingOf(input.reading, "capacitance");
  const value = reading.kind === "value" ? farads(reading.value) : undefined;
  const lastDigit = readingOf(input.meter.resolution, "capacitance");
  const resolution = lastDigit.kind === "value" ? lastDigit.value : 0;
  const halfWidth =
    value === undefined
      ? 0
      : limitOfError({ share: input.meter.percent / 100, counts: input.meter.counts, resolution }, value);
  const measured = value === undefined ? undefined : intervalOf(value, halfWidth);
  const dc = input.dcResistance === undefined ? undefined : readingOf(input.dcResistance, "resistance");
  const short = judgeShort(dc, limits);
  const byValue =
    value === undefined || !measured
      ? judgeNoValue(reading)
      : softenBleed(
          softenAssumed(judgeValue(value, measured, band, role, limits), measured, band, role, limits),
          input,
        );
  const judged = short ?? byValue;
  const proves = judged.verdict !== "undecided" || (judged.standing === "edge" && value !== undefined);
  const standard = role === "start" ? "iec-60252-2" : "iec-60252-1";
  return {
    verdict: judged.verdict,
    figures: figuresOf(value, measured, band),
    reasons: judged.reasons,
    cautions: [...bleedCautions(input, value, limits), ...cautionsOf(input, mark, role, band)],
    sources: [...new Set([standard, "gum", limitOf(limits, "capacitor-open-share").source])],
    evidence: evidenceOf(role, proves ? judged.standing : undefined, short ? undefined : value, halfWidth),
  };
}

/**
 * A motor capacitor's reading held against its marking.
 *
 * The reading stands for the interval [C − u, C + u], with u the meter's limit of error (source gum); the verdict
 * compares that interval with the band the marking allows: wholly inside is sound, wholly below is faulty, across an
 * edge is undecided, above is suspect (a start part is good up to 20 % above its upper mark). Below 5 % of the lower mark it counts
 * as open, below 10 Ω direct current as shorted. A bleed resistor left across can only raise the reading, so low stays
 * proof and the rest asks for it to be lifted.
 */
export const capacitorAgainstMark = defineTool({
  id: "capacitor-against-mark",
  version: 1,
  title: "Capacitor against its mark",
  input: capacitorAgainstMarkInput,
  example: {
    mark: "145-174 μF 250 VAC",
    reading: "61.8u",
    meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
    bleedResistor: "lifted",
    temperature: "14 °C",
  },
  analyse,
});
