import { field, type InputOf } from "@/core/tools/field.input";
import { MOTOR_KINDS } from "@/core/tools/motor-kinds";
import type { Analysis } from "@/core/tools/tool";
import { METALS } from "@/core/windings/temperature";

export const FIELDS = {
  against: field.choice(
    [
      { value: "twin", label: "A twin" },
      { value: "sheet", label: "Its sheet" },
      { value: "other", label: "Its other winding" },
      { value: "earlier", label: "An earlier reading" },
      { value: "range", label: "What is usual" },
    ],
    { label: "Held against", preset: "range" },
  ),
  reading: field.reading("resistance", {
    label: "This winding",
    place: "main",
    leads: true,
    ask: "Read the winding; OL counts as a reading.",
  }),
  reference: field.reading("resistance", {
    label: "The one it is held against",
    leads: true,
    askedWhen: { field: "against", is: ["twin", "sheet", "other", "earlier"] },
    ask: "Type the ohms that it is held against.",
    optional: true,
  }),
  twin: field.reading("resistance", {
    label: "A sound twin, if there is one",
    leads: true,
    askedWhen: { field: "against", is: ["sheet"] },
    optional: true,
  }),
  readAt: field.reading("temperature", { label: "Winding at", placeholder: "19 °C", optional: true }),
  referenceAt: field.reading("temperature", {
    label: "The other at",
    placeholder: "20 °C",
    askedWhen: { field: "against", is: ["twin", "sheet", "other", "earlier"] },
    optional: true,
  }),
  warm: field.choice(
    [
      { value: "cold", label: "Cold" },
      { value: "warm", label: "Warm" },
      { value: "not-said", label: "Not said" },
    ],
    { label: "The motor's frame is", preset: "not-said" },
  ),
  kind: field.choice(MOTOR_KINDS, { label: "Kind of motor", fill: "motor", preset: "not-known" }),
  volts: field.reading("voltage", {
    label: "Volts on the plate",
    placeholder: "230",
    fill: "supply",
    askedWhen: { field: "against", is: ["range"] },
    optional: true,
  }),
  metal: field.choice(METALS, { label: "Wound with", preset: "copper" }),
  meter: field.meter("resistance", { label: "Meter" }),
} as const;

export const CODES = [
  "winding/open",
  "winding/open-when-warm",
  "winding/open-frame-not-said",
  "winding/not-two-alike",
  "winding/range-edge",
  "winding/as-reference",
  "winding/low",
  "winding/perhaps-low",
  "winding/high",
  "winding/perhaps-high",
  "winding/unequal",
  "winding/sheet-contradicted",
  "winding/in-range",
  "winding/under-range",
  "winding/over-range",
  "winding/range-not-known",
  "winding/no-reference",
  "winding/reference-open",
  "winding/next-to-nothing",
  "winding/not-taken",
  "winding/temperature-not-known",
  "winding/brought-to",
  "winding/few-turns",
  "winding/compare-with-twin",
  "winding/high-says-little",
  "winding/sheet-may-err",
] as const;

export type Input = InputOf<typeof FIELDS>;
export type Answer = Analysis<(typeof CODES)[number]>;
export type Said = Answer["reasons"][number];
