import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { type AllowedBand, allowedBand } from "@/core/markings/allowed-band";
import type { CapacitorMark } from "@/core/markings/capacitor";
import { denoise } from "@/core/quantity/decimal";
import type { Reading } from "@/core/quantity/reading";
import { type Interval, intervalOf } from "@/core/quantity/uncertainty";
import { type Farads, farads, hertz, kelvin, ohms } from "@/core/quantity/units";
import type { Evidence, Figure, Verdict } from "@/core/tools/finding.input";
import { errorOn } from "@/core/tools/meter-error";
import { type Analysis, defineTool } from "@/core/tools/tool";
import { CODES, FIELDS, type Input, type Said } from "./fields";
import { liesOf, raisedByBleed } from "./lies";
import { effectSaid, finerSaid, markOfSection, seriesSaid } from "./more";

/** Where the reading lies against the mark: an answer of the moves that this tool judges. */
type Lies = "inside" | "edge" | "below" | "above" | "open" | "shorted";

interface Judged {
  readonly lies: Lies;
  readonly verdict: Verdict;
  readonly reasons: readonly Said[];
}

/** Direct current through it: a short in any part, and a leak in film, where no resistor lies across. */
function judgeShort(input: Input, { dielectric }: CapacitorMark, limits: Limits): Judged | undefined {
  const reading = input.dcResistance;
  if (reading?.kind !== "value") return undefined;
  const [short, leak] = [
    limitOf(limits, "capacitor-shorted-resistance"),
    limitOf(limits, "capacitor-film-leak"),
  ];
  const isLeak = dielectric === "film" && input.bleedResistor !== "across" && reading.value < leak.value;
  const isShort = reading.value < short.value;
  if (!isShort && !isLeak) return undefined;
  const limit = isShort ? short.value : leak.value;
  return {
    lies: "shorted",
    verdict: "faulty",
    reasons: [
      {
        code: isShort ? "capacitor/shorted" : "capacitor/film-leaks",
        params: { resistance: reading.value, limit },
      },
    ],
  };
}

/** How far up a reading is still good: a start part may stand a little above its upper mark. */
function soundMaximum(band: AllowedBand, role: CapacitorMark["role"], limits: Limits): number {
  // Assumed, the band's own end is as far as it goes.
  const allowed =
    role === "start" && !band.isAssumed ? limitOf(limits, "capacitor-start-above-upper").value : 0;
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
    return { lies: "open", verdict: "faulty", reasons: [{ code: "capacitor/open", params }] };
  const lies = liesOf(measured, band);
  const top = soundMaximum(band, role, limits);
  if (lies === "below")
    return { lies, verdict: "faulty", reasons: [{ code: "capacitor/below-mark", params }] };
  if (measured.lower >= band.min && measured.upper <= top)
    return { lies, verdict: "sound", reasons: [soundReason(value, band)] };
  if (measured.lower > top) {
    const over = value / band.max - 1;
    return {
      lies,
      verdict: "suspect",
      reasons: [{ code: "capacitor/above-mark", params: { over, max: band.max } }],
    };
  }
  const side = value - band.min < top - value ? "lower" : "upper";
  return {
    lies,
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
): Judged {
  if (!band.isAssumed || role === "run" || judged.lies === "open") return judged;
  const needsTolerance: Judged = {
    ...judged,
    verdict: "undecided",
    reasons: [{ code: "capacitor/needs-tolerance", params: {} }],
  };
  if (role === "not-known")
    return judged.lies === "below" || judged.lies === "above" ? judged : needsTolerance;
  const { widest } = band;
  const isBetween = widest && measured.upper >= widest.min && measured.lower <= widest.max;
  return isBetween && (judged.lies === "below" || judged.lies === "above") ? needsTolerance : judged;
}

/** A cold electrolytic reads lower by itself: low by no more than that, it is read again warm. */
function softenCold(
  judged: Judged,
  measured: Interval,
  band: AllowedBand,
  role: CapacitorMark["role"],
  { temperature }: Input,
  limits: Limits,
): Judged {
  const isCold = role === "start" && temperature?.kind === "value" && temperature.value < COLD;
  const lowest = band.min * (1 - limitOf(limits, "capacitor-cold-loss").value);
  if (!isCold || judged.lies !== "below" || judged.verdict !== "faulty" || measured.upper < lowest)
    return judged;
  return {
    ...judged,
    verdict: "undecided",
    reasons: [say("capacitor/low-and-cold", { at: temperature.value })],
  };
}

/** A resistor left across can only raise what the meter shows: low stays proof, anything else does not. */
function softenBleed(judged: Judged, input: Input): Judged {
  const isRaised = input.bleedResistor === "across";
  if (!isRaised || judged.lies === "below" || judged.lies === "open" || judged.lies === "shorted")
    return judged;
  return {
    ...judged,
    verdict: "undecided",
    reasons: [...judged.reasons, { code: "capacitor/lift-the-resistor", params: {} }],
  };
}

function bleedCautions(input: Input, value: Farads | undefined, limits: Limits): readonly Said[] {
  if (input.bleedResistor !== "across") return [];
  const resistance = input.bleedResistance;
  if (value === undefined || value <= 0 || resistance?.kind !== "value" || resistance.value <= 0)
    return [{ code: "capacitor/resistor-across", params: {} }];
  const frequency = hertz(limitOf(limits, "meter-capacitance-frequency").value);
  const raisedBy = raisedByBleed(value, ohms(resistance.value), frequency);
  const misleads = input.meter.mode !== "series" || raisedBy > limitOf(limits, "meter-series-raise").value;
  return [
    { code: misleads ? "capacitor/resistor-misleads" : "capacitor/resistor-small", params: { raisedBy } },
  ];
}

/** Below this an electrolytic part reads low by itself. */
const COLD = kelvin(278.15);

function temperatureSaid({ temperature }: Input, role: CapacitorMark["role"]): Said[] {
  if (temperature?.kind !== "value") return [say("capacitor/temperature-not-known")];
  return temperature.value < COLD && role === "start"
    ? [say("capacitor/cold", { at: temperature.value })]
    : [];
}

const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

function cautionsOf(
  input: Input,
  mark: CapacitorMark,
  role: CapacitorMark["role"],
  band: AllowedBand,
): readonly Said[] {
  const isOverruled = input.role !== undefined && mark.role !== "not-known" && mark.role !== input.role;
  return [
    ...(band.isAssumed ? [say("capacitor/tolerance-assumed", { min: band.min, max: band.max })] : []),
    ...(role === "not-known" ? [say("capacitor/role-not-known")] : []),
    ...(isOverruled ? [say("capacitor/role-overruled", { marked: mark.role, given: role })] : []),
    ...temperatureSaid(input, role),
    ...(mark.others ? [say("capacitor/sections")] : []),
    ...(mark.suppressor ? [say("capacitor/suppressor", { class: mark.suppressor })] : []),
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
      ...(band.limitId ? { limitId: band.limitId } : {}),
      limitSource: band.source,
    },
    { id: "share-of-lower-mark", label: "share of the lower mark", value: value / band.min, unit: "share" },
  ];
}

/** The number goes along with the answer, as what the knowledge's spread is a ratio to: the lower mark. */
function evidenceOf(
  role: CapacitorMark["role"],
  lies: Lies | undefined,
  value: number | undefined,
  halfWidth: number,
  band: AllowedBand,
): Evidence[] {
  if (role === "not-known" || !lies) return [];
  const moveId = role === "start" ? "start-capacitance" : "run-capacitance";
  const likelihood =
    value === undefined ? undefined : { quantity: "capacitance", value, halfWidth, mark: band.min };
  // A part on the bench is read cold, whatever the machine did before.
  return [{ moveId, outcomeId: lies, circumstance: "cold", ...(likelihood ? { likelihood } : {}) }];
}

/** A meter that shows no number: OL is above its range or a short; under-range is almost nothing there. */
function judgeNoValue(reading: Reading): Judged {
  if (reading.kind === "under-range")
    return { lies: "open", verdict: "suspect", reasons: [{ code: "capacitor/under-range", params: {} }] };
  const code = reading.kind === "over-range" ? "capacitor/over-range" : "capacitor/not-taken";
  return { lies: "edge", verdict: "undecided", reasons: [{ code, params: {} }] };
}

function judge(
  input: Input,
  value: number | undefined,
  measured: Interval | undefined,
  band: AllowedBand,
  role: CapacitorMark["role"],
  limits: Limits,
): Judged {
  if (value === undefined || !measured) return judgeNoValue(input.reading);
  const byMark = judgeValue(value, measured, band, role, limits);
  return softenBleed(
    softenCold(softenAssumed(byMark, measured, band, role), measured, band, role, input, limits),
    input,
  );
}

function analyse(input: Input, limits: Limits): Analysis<(typeof CODES)[number]> {
  const { reading } = input;
  const mark = markOfSection(input);
  const standard = ["iec-60252-1", "gum"];
  if (!mark) {
    const reasons = [say("capacitor/no-such-section")];
    return { verdict: "undecided", figures: [], reasons, cautions: [], sources: standard, evidence: [] };
  }
  const role = input.role ?? mark.role;
  const band = allowedBand(mark, role, limits);
  const value = reading.kind === "value" ? farads(reading.value) : undefined;
  const halfWidth = value === undefined ? 0 : errorOn(input.meter, value);
  const measured = value === undefined ? undefined : intervalOf(value, halfWidth);
  const short = judgeShort(input, mark, limits);
  const judged = short ?? judge(input, value, measured, band, role, limits);
  const series = seriesSaid(input, value, mark, limits);
  const isLossy = series?.code === "capacitor/series-resistance";
  const proves = judged.verdict !== "undecided" || (judged.lies === "edge" && value !== undefined);
  const finer = judged.verdict === "undecided" && !short ? finerSaid(value, band, halfWidth) : [];
  return {
    // Enough microfarads with too much loss: it gets hot, and is weak under load.
    verdict: judged.verdict === "sound" && isLossy ? "suspect" : judged.verdict,
    figures: figuresOf(value, measured, band),
    reasons: isLossy && series ? [...judged.reasons, series] : judged.reasons,
    cautions: [
      ...finer,
      ...effectSaid(role, short ? undefined : value, mark, band),
      ...(series && !isLossy ? [series] : []),
      ...bleedCautions(input, value, limits),
      ...cautionsOf(input, mark, role, band),
    ],
    sources: [
      ...new Set([
        role === "start" ? "iec-60252-2" : "iec-60252-1",
        "gum",
        limitOf(limits, "capacitor-open-share").source,
      ]),
    ],
    // A part against noise is neither of the two capacitors of the motor.
    evidence: mark.suppressor
      ? []
      : evidenceOf(role, proves ? judged.lies : undefined, short ? undefined : value, halfWidth, band),
    tells: { bleedResistor: input.bleedResistor !== "none" },
  };
}

/**
 * A motor capacitor's reading held against its marking.
 *
 * The reading stands for the interval [C − u, C + u], with u the meter's limit of error (source gum); the verdict
 * compares that interval with the band the marking allows: wholly inside is sound, wholly below is faulty, across an
 * edge is undecided, above is suspect (a start part is good up to 20 % above its upper mark). Without a printed tolerance
 * ±10 % is taken, and of a start part nothing is said between that and ±20 %. A cold electrolytic that is a little low is
 * read again warm. Direct current through film is a leak. Below 5 % of the lower mark it counts
 * as open, below 10 Ω direct current as shorted. A bleed resistor left across can only raise the reading, so low stays
 * proof and the rest asks for it to be lifted.
 */
export const tool = defineTool({
  id: "capacitor-against-mark",
  version: 4,
  topic: "capacitor",
  title: "Capacitor against its mark",
  about: "145-174 μF 250 VAC · 61.8 μF",
  how: "One wire off, discharged. Meter on microfarads.",
  waiting: "Hold the probes until the figure stands still, then swap them and read again.",
  judges: ["start-capacitance", "run-capacitance"],
  stations: ["start-circuit"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: [
    "capacitor-open-share",
    "capacitor-shorted-resistance",
    "capacitor-film-leak",
    "capacitor-cold-loss",
    "capacitor-run-tolerance-assumed",
    "capacitor-start-tolerance-assumed",
    "capacitor-widest-tolerance",
    "capacitor-start-above-upper",
    "meter-series-raise",
    "meter-capacitance-frequency",
    "dissipation-film",
    "dissipation-electrolytic",
  ],
  next: { faulty: "match", suspect: "isolate", sound: "isolate", undecided: "measure" },
  takesMarking: { kind: "capacitor", field: "mark" },
  fields: FIELDS,
  codes: CODES,
  example: {
    mark: "145-174 μF 250 VAC",
    reading: "61.8u",
    meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
    bleedResistor: "lifted",
    temperature: "14 °C",
  },
  analyse,
});
