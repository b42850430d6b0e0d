import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { parseCapacitorMark, wholeCapacitance } from "@/core/markings/capacitor";
import { COMMON_WATTS, commonOhms } from "@/core/markings/resistor-series";
import { farads, ohms, volts } from "@/core/quantity/units";
import { drainTime, startVoltage } from "@/core/safety/discharge";
import { field, type InputOf } from "@/core/tools/field.input";
import { type Analysis, defineTool } from "@/core/tools/tool";

const FIELDS = {
  mark: field.marking(parseCapacitorMark, {
    label: "Marking of the capacitor",
    example: "145-174 μF 250 VAC",
    ask: "Type what is printed on it.",
    fill: "part-marking",
    place: "main",
    understood: ({ understood }) => understood.map(({ meaning }) => meaning).join(" · "),
  }),
  within: field.reading("time", {
    label: "Drained within",
    placeholder: "60",
    ask: "Say within how many seconds it is to be safe.",
  }),
  fitted: field.reading("resistance", {
    label: "The one that is fitted, if any",
    placeholder: "15k",
    optional: true,
  }),
  rated: field.reading("power", { label: "Its watts", placeholder: "2", optional: true }),
} as const;

const CODES = [
  "bleed/take",
  "bleed/fitted-does",
  "bleed/fitted-slow",
  "bleed/fitted-hot",
  "bleed/fitted-open",
  "bleed/fitted-burns",
  "bleed/fitted-watts",
  "bleed/none",
  "bleed/no-volts",
  "bleed/refer",
  "bleed/always-on",
  "bleed/start-only",
  "bleed/proves-nothing",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

interface Need {
  readonly capacitance: number;
  readonly volts: number;
  readonly start: number;
  readonly safe: number;
  readonly within: number;
  /** Times the heat that a new one is rated for, as if it were on all the time. */
  readonly margin: number;
  /** The same of one that is fitted: across a start capacitor it is on for seconds only. */
  readonly fittedMargin: number;
  /** The most that a common one is rated for here. */
  readonly mostWatts: number;
}

/**
 * Watts that a resistor across it has to be rated for: all the time with a margin that keeps it cool, at each start as
 * much as it bears for five seconds. Source: physics (V²/R).
 */
function wattsAcross(resistance: number, across: number, margin: number): number {
  return (across * across * margin) / resistance;
}

export interface Bleed {
  readonly ohms: number;
  readonly watts: number;
  readonly seconds: number;
}

/** The highest common resistor that still drains in time: it wastes the least. */
export function bleedFor(need: Need): Bleed | undefined {
  const most = need.within / (need.capacitance * Math.log(need.start / need.safe));
  const fits = commonOhms(1000, Math.min(most, 1e6)).reverse();
  const value = fits[0];
  if (value === undefined) return undefined;
  const rated = COMMON_WATTS.find((watts) => watts >= wattsAcross(value, need.volts, need.margin));
  if (rated === undefined || rated > need.mostWatts) return undefined;
  return { ohms: value, watts: rated, seconds: need.capacitance * value * Math.log(need.start / need.safe) };
}

function plain(verdict: Answer["verdict"], code: Said["code"], params: Said["params"] = {}): Answer {
  return {
    verdict,
    figures: [],
    reasons: [{ code, params }],
    cautions: [],
    sources: ["physics"],
    evidence: [],
  };
}

function ofFitted(
  { fitted, rated }: Input,
  need: Need,
): { readonly verdict: Answer["verdict"]; readonly reason: Said } | undefined {
  if (!fitted || fitted.kind === "not-taken") return undefined;
  if (fitted.kind !== "value" || fitted.value <= 0)
    return { verdict: "faulty", reason: { code: "bleed/fitted-open", params: {} } };
  const seconds = drainTime(
    ohms(fitted.value),
    farads(need.capacitance),
    volts(need.start),
    volts(need.safe),
  );
  const watts = wattsAcross(fitted.value, need.volts, need.fittedMargin);
  const params = { ohms: fitted.value, seconds, within: need.within, watts };
  if (watts > need.mostWatts) return { verdict: "faulty", reason: { code: "bleed/fitted-burns", params } };
  if (seconds > need.within) return { verdict: "suspect", reason: { code: "bleed/fitted-slow", params } };
  const bears = rated?.kind === "value" ? rated.value : undefined;
  if (bears !== undefined && bears < watts)
    return { verdict: "suspect", reason: { code: "bleed/fitted-hot", params } };
  if (bears === undefined && watts > COMMON_WATTS[0])
    return { verdict: "undecided", reason: { code: "bleed/fitted-watts", params } };
  return { verdict: "sound", reason: { code: "bleed/fitted-does", params } };
}

function analyse(input: Input, limits: Limits): Answer {
  const { mark, within } = input;
  const refer = limitOf(limits, "capacitor-marked-volts-refer").value;
  if (mark.voltsAc !== undefined && mark.voltsAc > refer)
    return plain("suspect", "bleed/refer", { marked: mark.voltsAc, limit: refer });
  const capacitance = wholeCapacitance(mark);
  if (mark.voltsAc === undefined || capacitance <= 0 || within.kind !== "value" || within.value <= 0)
    return plain("undecided", "bleed/no-volts");
  const need: Need = {
    capacitance,
    volts: mark.voltsAc,
    start: startVoltage(mark.voltsAc, mark.voltsAc, 1),
    safe: limitOf(limits, "safe-to-work-volts").value,
    within: within.value,
    margin: limitOf(limits, "bleed-resistor-margin").value,
    fittedMargin:
      mark.role === "start"
        ? 1 / limitOf(limits, "resistor-overload").value
        : limitOf(limits, "bleed-resistor-margin").value,
    mostWatts: limitOf(limits, "discharge-resistor-watts").value,
  };
  const found = bleedFor(need);
  const fitted = ofFitted(input, need);
  const take: Said = found
    ? {
        code: "bleed/take",
        params: { ohms: found.ohms, watts: found.watts, volts: need.start, seconds: found.seconds },
      }
    : { code: "bleed/none", params: {} };
  return {
    verdict: fitted?.verdict ?? "undecided",
    figures: found
      ? [
          { id: "ohms", label: "resistor", value: found.ohms, unit: "Ω" },
          { id: "watts", label: "its watts", value: found.watts, unit: "W" },
          {
            id: "time",
            label: "time to the safe volts",
            value: found.seconds,
            unit: "s",
            limit: need.within,
            limitSource: "shop",
          },
        ]
      : [],
    reasons: fitted ? [fitted.reason, take] : [take],
    cautions: [
      { code: mark.role === "start" ? "bleed/start-only" : "bleed/always-on", params: {} },
      { code: "bleed/proves-nothing", params: {} },
    ],
    sources: ["physics", "iec-60063"],
    evidence: [],
  };
}

/**
 * The resistor that belongs across a capacitor so that it is drained when hands come near: its ohms, watts and volts.
 *
 * The highest common value with R·C·ln(V0/Vsafe) within the time that is wanted wastes the least; it bears √2 times the
 * marked volts, and twice the heat V²/R that the marked volts make in it. One that is fitted is sound where it drains in time and its watts
 * are known to bear it: across a start capacitor for the seconds of a start, else all the time. Ohms, watts, seconds.
 * @example 145-174 μF 250 VAC within 60 s → 68 kΩ 2 W
 */
export const tool = defineTool({
  id: "bleed-resistor",
  version: 2,
  topic: "capacitor",
  title: "Bleed resistor across a capacitor",
  about: "145-174 μF 250 VAC, drained within 60 s · 68 kΩ",
  how: "From its marking; where one is fitted, its ohms with one leg lifted.",
  waiting: "The resistor stands here with the marking and the seconds.",
  judges: [],
  stations: ["start-circuit"],
  touches: [],
  speaksOf: [],
  limits: [
    "capacitor-marked-volts-refer",
    "safe-to-work-volts",
    "discharge-resistor-watts",
    "bleed-resistor-margin",
    "resistor-overload",
  ],
  next: { faulty: "match", suspect: "match", sound: "measure", undecided: "match" },
  fields: FIELDS,
  codes: CODES,
  example: { mark: "145-174 μF 250 VAC", within: "60", fitted: "15k" },
  analyse,
});
