import { type NameplateLine, parseNameplate } from "@/core/nameplate/type-line";
import { fail, issue, ok, type Result } from "@/core/result";
import { field, type InputOf } from "@/core/tools/field.input";
import type { Analysis } from "@/core/tools/tool";

function plateOf(typed: string): Result<NameplateLine> {
  const line = parseNameplate(typed);
  if (line.understood.length > 0) return ok(line);
  return fail(
    issue(
      "",
      "plate/unreadable",
      `"${typed}" says nothing that a nameplate says: write it as 230 V 50 Hz 120 W 1380 r/min.`,
      typed,
    ),
  );
}

const looked = <const V extends string>(
  label: string,
  choices: readonly { readonly value: V; readonly label: string }[],
) => field.choice(choices, { label, optional: true });

export const FIELDS = {
  plate: field.marking<NameplateLine>(plateOf, {
    label: "Nameplate, as it stands",
    example: "230 V 50 Hz 120 W 1380 r/min",
    understood: ({ understood }) => understood.map(({ meaning }) => meaning).join(" · "),
    fill: "plate",
    place: "main",
    optional: true,
  }),
  entering: looked("Leads that enter it", [
    { value: "two", label: "Two" },
    { value: "three", label: "Three" },
    { value: "more", label: "Four or more" },
  ]),
  capacitor: looked("Capacitor on or near it", [
    { value: "none", label: "None" },
    { value: "one-big", label: "One in a hump, black" },
    { value: "one-flat", label: "One flat or silver" },
    { value: "two", label: "Two, or three terminals" },
  ]),
  brushes: looked("Brushes or their caps", [
    { value: "seen", label: "Seen" },
    { value: "none", label: "None" },
  ]),
  turn: looked("Turned slowly by hand", [
    { value: "steps", label: "Steps" },
    { value: "smooth", label: "Smooth" },
  ]),
  heard: looked("Heard running", [
    { value: "whine", label: "Whine" },
    { value: "click", label: "Click after the start" },
    { value: "hum", label: "Hum" },
    { value: "beeps", label: "Starts softly" },
  ]),
  low: field.reading("resistance", {
    label: "Ohms, the lowest of its windings",
    placeholder: "4.2",
    leads: true,
    optional: true,
  }),
  high: field.reading("resistance", {
    label: "Ohms, the highest, if there is another",
    placeholder: "12.8",
    leads: true,
    optional: true,
  }),
  third: field.reading("resistance", {
    label: "Ohms of a third pair, if all three are alike",
    leads: true,
    optional: true,
  }),
  rotor: looked("Opened: the rotor", [
    { value: "cage", label: "Bars cast in iron" },
    { value: "commutator", label: "Commutator" },
    { value: "magnets", label: "Magnets" },
  ]),
  stator: looked("Opened: around it", [
    { value: "slots", label: "Windings in many slots" },
    { value: "poles", label: "Coils round poles" },
    { value: "magnets", label: "Magnets" },
    { value: "one-coil", label: "One round coil" },
  ]),
  rings: looked("Opened: copper rings on the poles", [
    { value: "seen", label: "Seen" },
    { value: "none", label: "None" },
  ]),
  shading: field.choice(
    [
      { value: "clockwise", label: "Clockwise edge" },
      { value: "anticlockwise", label: "Anticlockwise edge" },
    ],
    {
      label: "Seen on the shaft's end, the ring sits at the pole's",
      askedWhen: { field: "rings", is: ["seen"] },
      optional: true,
    },
  ),
  switch: looked("Opened: a switch with weights", [
    { value: "seen", label: "Seen" },
    { value: "none", label: "None" },
  ]),
  gauges: looked("Opened: thickness of wire", [
    { value: "two", label: "Thick and thin" },
    { value: "one", label: "One" },
  ]),
  mains: field.choice(
    [
      { value: "50", label: "50 Hz" },
      { value: "60", label: "60 Hz" },
    ],
    { label: "Mains here", preset: "50", fill: "hertz" },
  ),
} as const;

export const CODES = [
  "identity/settled",
  "identity/likely",
  "identity/nothing",
  "identity/odd",
  "identity/poles",
  "identity/high-slip",
  "identity/above",
  "identity/exact",
  "identity/no-poles",
  "identity/turns",
  "identity/reverse-start",
  "identity/reverse-run-capacitor",
  "identity/reverse-shaded",
  "identity/reverse-brushed",
  "identity/reverse-magnet",
  "identity/reverse-board",
  "identity/reverse-synchronous",
  "identity/reverse-three",
  "identity/two-voltages",
  "identity/other-hertz",
  "identity/watts-input",
  "identity/watts-output",
  "identity/watts-either",
  "identity/watts-peak",
  "identity/watts-wrong",
  "identity/leads",
] as const;

export type Input = InputOf<typeof FIELDS>;
export type Answer = Analysis<(typeof CODES)[number]>;
export type Said = Answer["reasons"][number];
