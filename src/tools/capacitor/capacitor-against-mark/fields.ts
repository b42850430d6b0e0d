import { parseCapacitorMark } from "@/core/markings/capacitor";
import { field, type InputOf } from "@/core/tools/field.input";
import type { Analysis } from "@/core/tools/tool";

/** How many sections a marking names; none where it cannot be read. */
function sectionsIn(text: string): number {
  const parsed = text.trim() === "" ? undefined : parseCapacitorMark(text);
  return parsed?.ok ? 1 + (parsed.value.others?.length ?? 0) : 0;
}

export const FIELDS = {
  mark: field.marking(parseCapacitorMark, {
    label: "Marking",
    example: "145-174 μF 250 VAC",
    ask: "Type what is printed on it.",
    fill: "part-marking",
    understood: ({ understood }) => understood.map(({ meaning }) => meaning).join(" · "),
    expected: ({ band, nominal }) => band?.max ?? nominal,
  }),
  /** Overrules what the marking says, when the repairer saw where the wire goes. */
  role: field.choice(
    [
      { value: "start", label: "Start" },
      { value: "run", label: "Run" },
    ],
    { label: "Start or run", fill: "part-place", optional: true },
  ),
  section: field.choice(
    [
      { value: "first", label: "First on its mark" },
      { value: "second", label: "Second" },
      { value: "third", label: "Third" },
    ],
    {
      label: "Section that is read, to the common terminal",
      optional: true,
      askedWhen: { field: "mark", says: (text) => sectionsIn(text) > 1 },
    },
  ),
  bleedResistor: field.choice(
    [
      { value: "none", label: "Has none" },
      { value: "lifted", label: "Lifted" },
      { value: "across", label: "Still across" },
    ],
    {
      label: "Bleed resistor",
      place: "main",
      ask: "Say how its bleed resistor stands: none, lifted, or still across.",
    },
  ),
  reading: field.reading("capacitance", { label: "Capacitance", place: "main" }),
  meter: field.meter("capacitance", { label: "Meter" }),
  bleedResistance: field.reading("resistance", {
    label: "Its ohms, if marked",
    placeholder: "15k",
    askedWhen: { field: "bleedResistor", is: ["across"] },
    optional: true,
  }),
  temperature: field.reading("temperature", { label: "Temperature", placeholder: "14 °C", optional: true }),
  /** Discharged, after the ramp has settled. */
  dcResistance: field.reading("resistance", {
    label: "DC resistance, once steady",
    placeholder: "OL",
    once: true,
    optional: true,
  }),
  seriesResistance: field.reading("resistance", {
    label: "Series resistance, if the meter shows it",
    placeholder: "0.8",
    once: true,
    optional: true,
  }),
  dissipation: field.reading("dissipation", {
    label: "Or its dissipation factor",
    placeholder: "0.05",
    once: true,
    optional: true,
  }),
} as const;

export const CODES = [
  "capacitor/shorted",
  "capacitor/open",
  "capacitor/below-mark",
  "capacitor/on-the-edge",
  "capacitor/inside-mark",
  "capacitor/above-mark",
  "capacitor/a-little-above",
  "capacitor/needs-tolerance",
  "capacitor/lift-the-resistor",
  "capacitor/film-leaks",
  "capacitor/low-and-cold",
  "capacitor/under-range",
  "capacitor/over-range",
  "capacitor/not-taken",
  "capacitor/tolerance-assumed",
  "capacitor/role-not-known",
  "capacitor/role-overruled",
  "capacitor/temperature-not-known",
  "capacitor/sections",
  "capacitor/no-such-section",
  "capacitor/suppressor",
  "capacitor/series-resistance",
  "capacitor/series-fine",
  "capacitor/finer-meter",
  "capacitor/effect-start",
  "capacitor/effect-run",
  "capacitor/cold",
  "capacitor/resistor-across",
  "capacitor/resistor-misleads",
  "capacitor/resistor-small",
] as const;

export type Input = InputOf<typeof FIELDS>;
export type Said = Analysis<(typeof CODES)[number]>["reasons"][number];
