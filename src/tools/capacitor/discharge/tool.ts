import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { parseCapacitorMark, wholeCapacitance } from "@/core/markings/capacitor";
import { COMMON_WATTS, commonOhms } from "@/core/markings/resistor-series";
import { volts as inVolts, watts as inWatts, ohms } from "@/core/quantity/units";
import {
  DISCHARGE_SCHOOLS,
  type DischargePlan,
  type DischargeReferral,
  type DischargeRefusal,
  type DischargeResistor,
  drainTime,
  planDischarge,
  wattsNeeded,
} from "@/core/safety/discharge";
import { field, type InputOf } from "@/core/tools/field.input";
import { type Analysis, defineTool } from "@/core/tools/tool";

const SCHOOL_LABELS = {
  "resistor-then-short": "Resistor, then an insulated short",
  "resistor-only": "Resistor, clip left on",
  "insulated-short": "Insulated short",
} as const;

const FIELDS = {
  mark: field.marking(parseCapacitorMark, {
    label: "Marking",
    example: "12 μF ±5 % 450 VAC",
    ask: "Type what is printed on it.",
    fill: "part-marking",
    understood: ({ understood }) => understood.map(({ meaning }) => meaning).join(" · "),
  }),
  supply: field.reading("voltage", {
    label: "Supply",
    placeholder: "230",
    fill: "supply",
    ask: "Say the volts of its supply.",
  }),
  resistor: field.reading("resistance", { label: "Resistor at hand", placeholder: "15k", optional: true }),
  rated: field.reading("power", { label: "Its watts", placeholder: "5", optional: true }),
  bears: field.reading("voltage", { label: "Its volts", placeholder: "750", optional: true }),
  school: field.choice(
    DISCHARGE_SCHOOLS.map((value) => ({ value, label: SCHOOL_LABELS[value] })),
    { label: "Way of draining", preset: "resistor-then-short" },
  ),
  now: field.reading("voltage", {
    label: "Volts across it now, DC",
    place: "main",
    placeholder: "before, or after draining",
    optional: true,
  }),
  later: field.reading("voltage", {
    label: "And a minute later",
    placeholder: "V",
    optional: true,
    once: true,
  }),
} as const;

const CODES = [
  "drain/plan",
  "drain/no-supply",
  "drain/refer",
  "drain/refer-lifted",
  "drain/resistor-volts",
  "drain/resistor-power",
  "drain/resistor-not-said",
  "drain/drained",
  "drain/crept-back",
  "drain/still-charged",
  "drain/read-again",
  "drain/now-from",
  "drain/take",
  "drain/no-common",
  "drain/motor-lifts",
  "drain/rebound",
  "drain/school-default",
  "drain/school-resistor",
  "drain/school-short",
  "drain/short-too-much",
  "drain/check",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];
type Figure = Answer["figures"][number];

const si = (reading: Input["now"]): number | undefined =>
  reading?.kind === "value" ? Math.abs(reading.value) : undefined;
/** Volts of its supply; what is below zero is none. */
const supplyOf = ({ supply }: Input): number => (supply.kind === "value" ? supply.value : 0);
const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

type Planned = DischargePlan | DischargeReferral | DischargeRefusal;

function planned(input: Input, resistor: DischargeResistor, limits: Limits): Planned {
  const { mark } = input;
  const { voltsAc, voltsDc, role, dielectric } = mark;
  return planDischarge(
    { voltsAc, voltsDc, role, dielectric, capacitance: wholeCapacitance(mark) },
    resistor,
    inVolts(supplyOf(input)),
    limits,
  );
}

/** Any resistor, so that what it must bear can be worked out. */
const IDEAL = { resistance: ohms(15_000), watts: inWatts(1e6), volts: inVolts(1e6) };

export interface Advice {
  readonly ohms: number;
  readonly watts: number;
  readonly seconds: number;
}

/** The common resistor that drains soonest without more than a common five watts. */
export function advise(
  { capacitance, startVolts, safeVolts }: Pick<DischargePlan, "capacitance" | "startVolts" | "safeVolts">,
  limits: Limits,
): Advice | undefined {
  const overload = limitOf(limits, "resistor-overload").value;
  const most = limitOf(limits, "discharge-resistor-watts").value;
  const longest = limitOf(limits, "discharge-longest").value;
  for (const value of commonOhms(1000, 100_000)) {
    const needed = wattsNeeded(ohms(value), capacitance, startVolts, overload);
    const rated = COMMON_WATTS.find((watts) => watts >= needed);
    const isSoon = drainTime(ohms(value), capacitance, startVolts, safeVolts) <= longest;
    if (rated !== undefined && rated <= most && isSoon)
      return {
        ohms: value,
        watts: rated,
        seconds: drainTime(ohms(value), capacitance, startVolts, safeVolts),
      };
  }
  return undefined;
}

const SCHOOL_SAID = {
  "resistor-then-short": "drain/school-default",
  "resistor-only": "drain/school-resistor",
  "insulated-short": "drain/school-short",
} as const;

function schoolOf({ school }: Input, plan: DischargePlan): Said[] {
  const isTooMuch = school === "insulated-short" && !plan.mayShortFirst;
  return [isTooMuch ? say("drain/short-too-much", { energy: plan.energy }) : say(SCHOOL_SAID[school])];
}

function figuresOf(plan: DischargePlan, isResistorSaid: boolean, limits: Limits): Figure[] {
  const times: Figure[] = isResistorSaid
    ? [
        { id: "time", label: "time through the resistor", value: plan.time, unit: "s" },
        { id: "peak-power", label: "power in the first instant", value: plan.peakPower, unit: "W" },
      ]
    : [];
  return [
    {
      id: "start",
      label: "it may stand at",
      value: plan.startVolts,
      unit: "V",
      limit: plan.safeVolts,
      limitId: "safe-to-work-volts",
      limitSource: limitOf(limits, "safe-to-work-volts").source,
    },
    { id: "energy", label: "energy in it", value: plan.energy, unit: "J" },
    ...times,
  ];
}

/** What the volts read say, where they were read. */
function readOff(
  input: Input,
  plan: DischargePlan,
): { readonly verdict: Answer["verdict"]; readonly reason: Said } | undefined {
  const [now, later] = [si(input.now), si(input.later)];
  if (later !== undefined && later >= plan.safeVolts)
    return { verdict: "suspect", reason: say("drain/crept-back", { volts: later, safe: plan.safeVolts }) };
  const [first, second] = [now, later].filter((one) => one !== undefined);
  if (first === undefined) return undefined;
  if (now !== undefined && now < plan.safeVolts && later !== undefined)
    return { verdict: "sound", reason: say("drain/drained", { volts: later, safe: plan.safeVolts }) };
  // Low once, after it was high: that is the first of the two readings.
  const newest = second ?? first;
  return newest < plan.safeVolts
    ? { verdict: "undecided", reason: say("drain/read-again", { volts: newest }) }
    : { verdict: "suspect", reason: say("drain/still-charged", { volts: newest, safe: plan.safeVolts }) };
}

function refused(found: DischargeRefusal): Said {
  const params = { volts: found.volts, watts: found.watts };
  const code = {
    "rating-not-said": "drain/resistor-not-said",
    volts: "drain/resistor-volts",
    power: "drain/resistor-power",
  } as const;
  return say(code[found.because], params);
}

function resistorOf({ resistor, rated, bears }: Input): DischargeResistor | undefined {
  const [value, watts, bearing] = [si(resistor), si(rated), si(bears)];
  if (value === undefined || value <= 0) return undefined;
  return {
    resistance: ohms(value),
    watts: watts === undefined ? undefined : inWatts(watts),
    volts: bearing === undefined ? undefined : inVolts(bearing),
  };
}

function analyse(input: Input, limits: Limits): Answer {
  const sources = ["physics", "shop-practice"];
  // What it may stand at is never worked out from no supply.
  if (supplyOf(input) <= 0)
    return {
      verdict: "undecided",
      figures: [],
      reasons: [say("drain/no-supply")],
      cautions: [say("drain/check", { safe: limitOf(limits, "safe-to-work-volts").value })],
      sources,
      evidence: [],
    };
  const ideal = planned(input, IDEAL, limits);
  if (ideal.kind !== "plan") {
    const isLifted = ideal.kind === "refer" && ideal.because === "lifted";
    const limit = ideal.kind === "refer" ? ideal.limit : 0;
    const { volts } = ideal;
    return {
      verdict: "suspect",
      figures: [],
      reasons: [say(isLifted ? "drain/refer-lifted" : "drain/refer", { volts, limit })],
      cautions: [],
      sources,
      evidence: [],
    };
  }
  const own = resistorOf(input);
  const found = own ? planned(input, own, limits) : undefined;
  const plan = found?.kind === "plan" ? found : ideal;
  const advice = advise(plan, limits);
  const read = readOff(input, plan);
  const now = si(input.now);
  const isCharged = now !== undefined && now >= plan.safeVolts && own && found?.kind === "plan";
  const first =
    read?.reason ??
    (found?.kind === "refuse"
      ? refused(found)
      : say("drain/plan", { volts: plan.startVolts, energy: plan.energy, seconds: found ? plan.time : 0 }));
  return {
    verdict: read?.verdict ?? (found?.kind === "refuse" ? "suspect" : "undecided"),
    figures: figuresOf(plan, found?.kind === "plan", limits),
    reasons: [first],
    cautions: [
      ...(isCharged
        ? [
            say("drain/now-from", {
              seconds: drainTime(own.resistance, plan.capacitance, inVolts(now), plan.safeVolts),
            }),
          ]
        : []),
      advice
        ? say("drain/take", {
            ohms: advice.ohms,
            watts: advice.watts,
            volts: plan.startVolts,
            seconds: advice.seconds,
          })
        : say("drain/no-common"),
      ...(input.mark.role === "start" ? [] : [say("drain/motor-lifts")]),
      ...schoolOf(input, plan),
      say("drain/rebound", { volts: plan.rebound }),
      say("drain/check", { safe: plan.safeVolts }),
    ],
    sources,
    evidence: [],
  };
}

/**
 * How to drain a capacitor, worked out before anything touches it, and whether it worked.
 *
 * It may stand at √2 times its own marked AC volts, and one that is not for starting alone at √2 × 1.8 times the supply
 * where that is more, since a running winding lifts it above the supply. Time through a resistor t = R·C·ln(V0/Vsafe), energy ½CV0², first
 * power V0²/R; the resistor must bear V0 as well. The common resistor that drains soonest within a common wattage is
 * named. Drained is what a meter shows below the safe voltage, and again a minute later, since charge creeps back. Above
 * the limit for marked volts no time is shown: passed on. Volts, joules, seconds.
 * @example 12 μF 450 VAC on 230 V: 636 V, 2.4 J; 15 kΩ 10 W drains it in 0.9 s
 */
export const tool = defineTool({
  id: "discharge",
  version: 2,
  topic: "capacitor",
  title: "Draining a capacitor",
  about: "12 μF 450 VAC on 230 V · may stand at 636 V",
  how: "Plug out and hung. Gloves, insulated clips, meter on DC volts; nothing touches it before its volts are read.",
  waiting: "What it may stand at, and how to drain it, come here with its marking.",
  judges: [],
  stations: ["start-circuit", "board"],
  touches: ["inside"],
  speaksOf: [],
  limits: [
    "capacitor-marked-volts-refer",
    "unmarked-capacitor-volts-factor",
    "board-volts-factor",
    "safe-to-work-volts",
    "rebound-film",
    "rebound-electrolytic",
    "short-energy-max",
    "resistor-overload",
    "discharge-resistor-watts",
    "discharge-longest",
  ],
  next: { faulty: "measure", suspect: "measure", sound: "measure", undecided: "measure" },
  fields: FIELDS,
  codes: CODES,
  example: {
    mark: "12 μF ±5 % 450 VAC",
    supply: "230",
    resistor: "15k",
    rated: "10",
    bears: "750",
    school: "resistor-then-short",
    now: "0.4",
    later: "0.6",
  },
  analyse,
});
