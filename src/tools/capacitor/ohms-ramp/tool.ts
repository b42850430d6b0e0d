import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { type Interval, intervalOf } from "@/core/quantity/uncertainty";
import { field, type InputOf } from "@/core/tools/field.input";
import { type Analysis, defineTool } from "@/core/tools/tool";

const SEEN = [
  { value: "climbs", label: "Jumps low, then climbs" },
  { value: "stays-low", label: "Stays low" },
  { value: "never", label: "Never moves from OL" },
] as const;

const FIELDS = {
  first: field.choice(SEEN, {
    label: "One way round",
    place: "main",
    ask: "Say what the ohms do one way round.",
  }),
  second: field.choice(SEEN, {
    label: "Probes changed over",
    place: "main",
    ask: "Change the probes over and say what they do then.",
  }),
  steady: field.reading("resistance", {
    label: "Where it comes to rest",
    placeholder: "OL",
    optional: true,
  }),
} as const;

const CODES = [
  "ramp/alive",
  "ramp/shorted",
  "ramp/edge",
  "ramp/open",
  "ramp/bleed",
  "ramp/contradiction",
  "ramp/low-not-read",
  "ramp/leaks",
  "ramp/no-value",
  "ramp/range",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

interface Judged {
  readonly verdict: Answer["verdict"];
  readonly code: Said["code"];
  readonly outcomeId?: "climbs" | "low" | "never";
}

/** What an ohmmeter that is not asked about may be off by, and half of the last digit that was typed. Judged. */
const METER_SHARE = 0.02;

function steadyOf({ steady }: Input): Interval | undefined {
  if (steady?.kind !== "value") return undefined;
  return intervalOf(steady.value, steady.value * METER_SHARE + (steady.resolution ?? 0) / 2);
}

function judge({ first, second }: Input, steady: Interval | undefined, limits: Limits): Judged {
  const shorted = limitOf(limits, "capacitor-shorted-resistance").value;
  const [least, most] = [
    limitOf(limits, "bleed-resistor-least").value,
    limitOf(limits, "bleed-resistor-most").value,
  ];
  if (steady !== undefined && steady.upper < shorted)
    return { verdict: "faulty", code: "ramp/shorted", outcomeId: "low" };
  if (steady !== undefined && steady.lower < shorted) return { verdict: "undecided", code: "ramp/edge" };
  const isBleed = steady !== undefined && steady.upper >= least && steady.lower <= most;
  // A resistor across hides whatever the capacitor does.
  if (isBleed) return { verdict: "undecided", code: "ramp/bleed" };
  if (first !== second) return { verdict: "undecided", code: "ramp/contradiction" };
  if (first === "never") return { verdict: "suspect", code: "ramp/open", outcomeId: "never" };
  if (first === "stays-low") return { verdict: "undecided", code: "ramp/low-not-read" };
  return steady === undefined
    ? { verdict: "undecided", code: "ramp/alive", outcomeId: "climbs" }
    : { verdict: "suspect", code: "ramp/leaks", outcomeId: "climbs" };
}

function analyse(input: Input, limits: Limits): Answer {
  const steady = input.steady?.kind === "value" ? input.steady.value : undefined;
  const { verdict, code, outcomeId } = judge(input, steadyOf(input), limits);
  return {
    verdict,
    figures: steady === undefined ? [] : [{ id: "steady", label: "ohms at rest", value: steady, unit: "Ω" }],
    reasons: [{ code, params: { steady: steady ?? 0 } }],
    cautions: [{ code: code === "ramp/open" ? "ramp/range" : "ramp/no-value", params: {} }],
    sources: ["shop-practice", "physics"],
    evidence: outcomeId ? [{ moveId: "capacitor-ramp", outcomeId, circumstance: "cold" }] : [],
  };
}

/**
 * What a capacitor's ohms do over time, where no capacitance range is at hand: weak evidence.
 *
 * The meter's current charges it, so the ohms climb from low to over range, and again with the probes changed over. A weak
 * one climbs as well: climbing says that it is alive and next to nothing of its value. Steady at 5 to 30 kΩ is the bleed
 * resistor, not the capacitor; steady below 10 Ω is a short. Ohms.
 */
export const tool = defineTool({
  id: "ohms-ramp",
  version: 2,
  topic: "capacitor",
  title: "Capacitor by the climb of its ohms",
  about: "climbs both ways round, then OL · alive, its value not known",
  how: "Drained, read below 5 V, off its wires. Ohms on 20 kΩ or higher: watch, then change the probes over and watch again.",
  waiting: "What it shows comes here with both ways round.",
  judges: ["capacitor-ramp"],
  stations: ["start-circuit"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: ["capacitor-shorted-resistance", "bleed-resistor-least", "bleed-resistor-most"],
  next: { faulty: "match", suspect: "measure", sound: "isolate", undecided: "measure" },
  alsoByHand: true,
  fields: FIELDS,
  codes: CODES,
  example: { first: "climbs", second: "climbs", steady: "OL" },
  analyse,
});
