import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { denoise } from "@/core/quantity/decimal";
import { field, type InputOf } from "@/core/tools/field.input";
import { errorOn } from "@/core/tools/meter-error";
import { type Analysis, defineTool } from "@/core/tools/tool";

const FIELDS = {
  open: field.reading("resistance", {
    label: "Probes apart, ohms",
    place: "main",
    placeholder: "OL",
    ask: "Hold the probes apart and read the ohms: OL as a rule.",
  }),
  short: field.reading("resistance", {
    label: "Probes together, ohms",
    place: "main",
    placeholder: "0.2",
    ask: "Touch the probes together and read the ohms.",
  }),
  marked: field.reading("resistance", {
    label: "A known resistor, as marked",
    placeholder: "1k",
    optional: true,
  }),
  tolerance: field.choice(
    [
      { value: "0.01", label: "1 %" },
      { value: "0.05", label: "5 %" },
    ],
    { label: "Its tolerance", preset: "0.01" },
  ),
  resistor: field.reading("resistance", {
    label: "The same, as read",
    placeholder: "1.003k",
    optional: true,
  }),
  battery: field.reading("voltage", {
    label: "A fresh 1.5 V cell, volts",
    placeholder: "1.58",
    optional: true,
  }),
  meter: field.meter("resistance", { label: "Meter" }),
} as const;

const CODES = [
  "meter/good",
  "meter/part-checked",
  "meter/leads-high",
  "meter/leads-open",
  "meter/not-open",
  "meter/resistor-off",
  "meter/battery-off",
  "meter/fuse",
  "meter/leads",
  "meter/amps",
] as const;

type Input = InputOf<typeof FIELDS>;
type Answer = Analysis<(typeof CODES)[number]>;
type Said = Answer["reasons"][number];

const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });
const si = (reading: Input["battery"]): number | undefined =>
  reading?.kind === "value" ? reading.value : undefined;

function shortTrouble({ short }: Input, limits: Limits): Said | undefined {
  if (short.kind === "over-range") return say("meter/leads-open");
  const most = limitOf(limits, "test-leads-most");
  return short.kind === "value" && short.value > most.value
    ? say("meter/leads-high", { read: short.value, most: most.value })
    : undefined;
}

function resistorTrouble(input: Input): Said | undefined {
  const [marked, read] = [si(input.marked), si(input.resistor)];
  if (marked === undefined || read === undefined || marked <= 0) return undefined;
  const less = denoise(read - (si(input.short) ?? 0));
  const allowed = Number(input.tolerance) * marked + errorOn(input.meter, read);
  return Math.abs(less - marked) > allowed
    ? say("meter/resistor-off", { off: less / marked - 1, marked })
    : undefined;
}

function batteryTrouble({ battery }: Input, limits: Limits): Said | undefined {
  const volts = si(battery);
  if (volts === undefined) return undefined;
  const [least, most] = [limitOf(limits, "fresh-cell-least").value, limitOf(limits, "fresh-cell-most").value];
  return Math.abs(volts) < least || Math.abs(volts) > most
    ? say("meter/battery-off", { volts, least, most })
    : undefined;
}

function analyse(input: Input, limits: Limits): Answer {
  const troubles = [
    shortTrouble(input, limits),
    // Apart it must read open: anything else is wet probes, fingers, or a broken range.
    input.open.kind === "over-range" ? undefined : say("meter/not-open"),
    resistorTrouble(input),
    batteryTrouble(input, limits),
  ].filter((one) => one !== undefined);
  const isWhole =
    si(input.resistor) !== undefined && si(input.marked) !== undefined && si(input.battery) !== undefined;
  const leads = si(input.short);
  return {
    verdict: troubles.length > 0 ? "faulty" : isWhole ? "sound" : "undecided",
    figures:
      leads === undefined
        ? []
        : [
            {
              id: "leads",
              label: "test leads, touched together",
              value: leads,
              unit: "Ω",
              limit: limitOf(limits, "test-leads-most").value,
              limitId: "test-leads-most",
              limitSource: limitOf(limits, "test-leads-most").source,
            },
          ],
    reasons: troubles.length > 0 ? troubles : [say(isWhole ? "meter/good" : "meter/part-checked")],
    cautions: [
      ...(leads === undefined ? [] : [say("meter/leads", { read: leads })]),
      say("meter/amps"),
      ...(troubles.length > 0 ? [say("meter/fuse")] : []),
    ],
    sources: ["shop-practice", "gum"],
    evidence: [],
  };
}

/**
 * The meter checked on what is known before it is believed: probes together, probes apart, a resistor, a fresh cell. Kept
 * with its date.
 *
 * Together the probes read their own ohms, which are taken off later; apart they read over range; the resistor lies within
 * its tolerance and the meter's limit of error; a fresh 1.5 V cell reads 1.5 to 1.65 V. Ohms and volts.
 */
export const tool = defineTool({
  id: "meter-self-check",
  version: 1,
  topic: "meter",
  title: "The meter itself",
  about: "together 0.2 Ω · apart OL · 1 kΩ reads 1.003 kΩ · a fresh cell 1.58 V",
  how: "On nothing but known things: probes together, probes apart, a resistor you trust, a fresh cell. Before a job that hangs on one reading.",
  waiting: "The verdict comes here with probes together and apart.",
  judges: [],
  stations: ["supply", "battery"],
  touches: [],
  speaksOf: [],
  limits: ["test-leads-most", "fresh-cell-least", "fresh-cell-most"],
  next: { faulty: "measure", suspect: "measure", sound: "measure", undecided: "measure" },
  fields: FIELDS,
  codes: CODES,
  example: {
    short: "0.2",
    open: "OL",
    marked: "1k",
    tolerance: "0.01",
    resistor: "1.003k",
    battery: "1.58",
    meter: { percent: 0.8, counts: 2, resolution: "1" },
  },
  analyse,
});
