import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { Reading } from "@/core/quantity/reading";
import { type Kelvin, kelvin, ohms } from "@/core/quantity/units";
import { errorOn } from "@/core/tools/meter-error";
import { TWO_WINDINGS } from "@/core/tools/motor-kinds";
import { defineTool } from "@/core/tools/tool";
import { resistanceAt, sharePerKelvin } from "@/core/windings/temperature";
import { type Answer, CODES, FIELDS, type Input, type Said } from "./fields";
import { RANGE_LIMITS, usualFor } from "./usual";

/** 20 °C: what readings are brought to where nothing else is said. */
const ROOM = kelvin(293.15);

const si = (reading: Reading | undefined): number | undefined =>
  reading?.kind === "value" ? reading.value : undefined;

interface Ratio {
  /** This winding over the other, both at one temperature. */
  readonly ratio: number;
  readonly error: number;
  readonly at: Kelvin;
  readonly isTemperatureKnown: boolean;
}

/** The ratio of two windings brought to one temperature, with what the meter and unknown temperatures leave open. */
function ratioOf(input: Input, read: number, other: number, limits: Limits): Ratio {
  const [readAt, otherAt] = [si(input.readAt), si(input.referenceAt)];
  const isTemperatureKnown = readAt !== undefined && otherAt !== undefined;
  const at = kelvin(otherAt ?? readAt ?? ROOM);
  const brought = isTemperatureKnown ? resistanceAt(ohms(read), kelvin(readAt), at, input.metal) : read;
  const ratio = brought / other;
  // Two windings of one motor, read one after the other, are equally warm.
  const apart = input.against === "other" ? 0 : limitOf(limits, "winding-temperature-doubt").value;
  const doubt = isTemperatureKnown ? 0 : apart * sharePerKelvin(at, input.metal);
  const share =
    errorOn(input.meter, read) / read + (input.against === "sheet" ? 0 : errorOn(input.meter, other) / other);
  return { ratio, error: ratio * (share + doubt), at, isTemperatureKnown };
}

type Lies = "same" | "low" | "perhaps-low" | "high" | "perhaps-high";

function liesOf({ ratio, error }: Ratio, within: number): Lies {
  if (ratio + error < 1 - within) return "low";
  if (ratio - error > 1 + within) return "high";
  if (ratio - error >= 1 - within && ratio + error <= 1 + within) return "same";
  return ratio < 1 ? "perhaps-low" : "perhaps-high";
}

/** The answer of the move that this is, where it is one. */
function evidenceOf(input: Input, lies: Lies | "open"): Answer["evidence"] {
  const circumstance = input.warm === "warm" ? ("hot" as const) : ("cold" as const);
  const answers = (
    moveId: string,
    same: string,
    low: string,
    high: string | undefined,
    open: string | undefined,
  ) => {
    const outcomeId = { same, low, high, open, "perhaps-low": undefined, "perhaps-high": undefined }[lies];
    return outcomeId === undefined ? [] : [{ moveId, outcomeId, circumstance }];
  };
  if (input.against === "twin") return answers("twin-ohms", "same", "lower", "higher", "higher");
  if (input.against === "other" && input.kind === "universal")
    return answers("field-ohms", "equal", "unequal", "unequal", "one-open");
  if (input.kind === "shaded-pole" || input.kind === "synchronous")
    return answers("coil-ohms", "as-should", "low", "high", "open");
  return [];
}

const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

/** What was read is told, though nothing can be said of it. */
function undecided(reason: Said, { meter, reading }: Input): Answer {
  const read = si(reading);
  return {
    verdict: "undecided",
    figures: read === undefined ? [] : figure(read, errorOn(meter, read)),
    reasons: [reason],
    cautions: [],
    sources: ["physics", "gum"],
    evidence: [],
  };
}

function figure(
  value: number,
  error: number,
  rest: Partial<Answer["figures"][number]> = {},
): Answer["figures"] {
  return [
    {
      id: "resistance",
      label: "resistance",
      value,
      unit: "Ω",
      lower: Math.max(0, value - error),
      upper: value + error,
      ...rest,
    },
  ];
}

function rangeCode(isUnder: boolean, isOver: boolean, isInside: boolean): Said["code"] {
  if (isUnder) return "winding/under-range";
  if (isOver) return "winding/over-range";
  return isInside ? "winding/in-range" : "winding/range-edge";
}

/** Held against what is usual for its kind: finds what is far off, and never a few turns. */
function againstRange(input: Input, read: number, limits: Limits): Answer {
  const usual = usualFor(input.kind, si(input.volts), limits);
  if (!usual) return undecided(say("winding/range-not-known"), input);
  const error = errorOn(input.meter, read);
  const params = { least: usual.least, most: usual.most };
  const isUnder = read + error < usual.least;
  const isOver = read - error > usual.most;
  const isInside = read - error >= usual.least && read + error <= usual.most;
  const limit =
    isOver || read > usual.most
      ? { limit: usual.most, limitId: usual.mostId }
      : { limit: usual.least, limitId: usual.leastId };
  return {
    verdict: isUnder || isOver ? "suspect" : isInside ? "sound" : "undecided",
    figures: figure(read, error, { ...limit, limitSource: limitOf(limits, limit.limitId).source }),
    reasons: [say(rangeCode(isUnder, isOver, isInside), params)],
    cautions: [say(isInside ? "winding/few-turns" : "winding/compare-with-twin")],
    sources: ["shop-practice", "physics", "gum"],
    evidence: isInside ? evidenceOf(input, "same") : [],
  };
}

/** A sheet that a sound twin contradicts is the one that errs. */
function isTwinAlike(input: Input, read: number, within: number): boolean {
  const twin = si(input.twin);
  return twin !== undefined && twin > 0 && Math.abs(read / twin - 1) <= within;
}

const REASON: Readonly<Record<Lies, Said["code"]>> = {
  same: "winding/as-reference",
  low: "winding/low",
  "perhaps-low": "winding/perhaps-low",
  high: "winding/high",
  "perhaps-high": "winding/perhaps-high",
};

function verdictOf(input: Input, lies: Lies): Answer["verdict"] {
  if (lies === "same") return "sound";
  // A sheet may be of another design; a twin, the other coil and the winding's own past are not.
  if (lies === "low") return input.against === "sheet" ? "suspect" : "faulty";
  return lies === "high" ? "suspect" : "undecided";
}

function againstReference(input: Input, read: number, limits: Limits): Answer {
  const other = si(input.reference);
  if (input.reference?.kind === "over-range") return undecided(say("winding/reference-open"), input);
  if (other === undefined || other <= 0) return undecided(say("winding/no-reference"), input);
  if (input.against === "other" && TWO_WINDINGS.has(input.kind))
    return undecided(say("winding/not-two-alike"), input);
  const within = limitOf(limits, input.against === "other" ? "windings-alike" : "winding-off-reference");
  const found = ratioOf(input, read, other, limits);
  const lies = liesOf(found, within.value);
  const isSheetWrong = lies !== "same" && input.against === "sheet" && isTwinAlike(input, read, within.value);
  const params = { off: Math.abs(found.ratio - 1), against: input.against, within: within.value };
  const isUnequal = input.against === "other" && (lies === "low" || lies === "high");
  const bound = lies.includes("high") ? other * (1 + within.value) : other * (1 - within.value);
  const reason = isSheetWrong
    ? say("winding/sheet-contradicted", params)
    : say(isUnequal ? "winding/unequal" : REASON[lies], params);
  const settled = isSheetWrong ? "same" : lies;
  return {
    verdict: isUnequal ? "faulty" : verdictOf(input, settled),
    figures: [
      ...figure(read, errorOn(input.meter, read), {
        limit: bound,
        limitId: within.id,
        limitSource: within.source,
      }),
      {
        id: "ratio",
        label: "share of the other, at one temperature",
        value: found.ratio,
        unit: "share",
        lower: Math.max(0, found.ratio - found.error),
        upper: found.ratio + found.error,
      },
    ],
    reasons: [reason],
    cautions: [
      found.isTemperatureKnown
        ? say("winding/brought-to", { at: found.at, metal: input.metal })
        : say("winding/temperature-not-known"),
      ...(settled === "high" ? [say("winding/high-says-little")] : []),
      ...(settled === "same" ? [say("winding/few-turns")] : []),
      ...(settled === "low" && input.against === "sheet" ? [say("winding/sheet-may-err")] : []),
    ],
    sources: ["physics", "gum", within.source],
    evidence: evidenceOf(input, settled),
  };
}

function open(input: Input): Answer {
  if (input.warm === "warm") return undecided(say("winding/open-when-warm"), input);
  if (input.warm === "not-said") return undecided(say("winding/open-frame-not-said"), input);
  return {
    verdict: "faulty",
    figures: [],
    reasons: [say("winding/open")],
    cautions: [],
    sources: ["physics"],
    evidence: evidenceOf(input, "open"),
  };
}

function analyse(input: Input, limits: Limits): Answer {
  const read = si(input.reading);
  if (input.reading.kind === "over-range") return open(input);
  if (input.reading.kind === "not-taken") return undecided(say("winding/not-taken"), input);
  if (read === undefined || read <= errorOn(input.meter, read))
    return undecided(say("winding/next-to-nothing"), input);
  return input.against === "range"
    ? againstRange(input, read, limits)
    : againstReference(input, read, limits);
}

/**
 * The ohms of a winding held against a twin, its sheet, the other winding, an earlier reading or what is usual for its kind.
 *
 * Both are brought to one temperature, R2 = R1 (k + T2)/(k + T1) with k = 234.5 °C for copper and 225 °C for aluminium, and
 * the ratio is judged with the meter's limit of error on both sides, and what lies across an edge is undecided; a temperature that was not noted leaves ten kelvin
 * open. Lower by more than 15 % (5 % for two coils of one motor) is shorted turns; higher is a joint, another design or a
 * wrong sheet, and condemns nothing. Over range is open only once the frame was said to be cold: a protector inside opens
 * when it is warm. A start and a run winding are never held against each other. Test leads are taken off. Ohms.
 */
export const tool = defineTool({
  id: "winding-against-reference",
  version: 2,
  topic: "winding",
  title: "Winding against a twin, sheet or range",
  about: "this one 38.0 Ω at 19 °C · its twin 47.1 Ω at 21 °C",
  how: "Both leads of the winding off, drained. Touch the probes together first, then read until it stands still; the same on the one it is held against.",
  waiting: "The verdict comes here with the reading.",
  judges: ["coil-ohms", "twin-ohms", "field-ohms"],
  stations: ["windings"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: ["winding-off-reference", "windings-alike", "winding-temperature-doubt", ...RANGE_LIMITS],
  next: { faulty: "match", suspect: "isolate", sound: "isolate", undecided: "measure" },
  alsoByHand: true,
  fields: FIELDS,
  codes: CODES,
  example: {
    against: "twin",
    reading: "38.0",
    reference: "47.1",
    readAt: "19 °C",
    referenceAt: "21 °C",
    warm: "cold",
    kind: "shaded-pole",
    metal: "copper",
    meter: { percent: 0.8, counts: 2, resolution: "0.1" },
  },
  analyse,
});
