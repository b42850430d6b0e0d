import { follows, fromMark } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readStartCapacitor } from "./mark";
import { startCapacitors } from "./series";

const MARK = { how: "Read its mark.", minutes: 1 };
/** Ends of a range this near are the same range by another name. Judged. */
const ALIKE = 0.02;

/** Start capacitors: the same printed range, its lower end never under; never fewer volts. Source: iec-60252-2. */
export const family: Family = {
  id: "start-capacitor",
  title: "Start capacitor",
  key: "capacitance",
  attributes: {
    kind: choice("Kind", { start: "start", run: "run, film" }, MARK),
    capacitance: {
      label: "Range",
      unit: "F",
      rule: {
        kind: "span",
        alike: ALIKE,
        upper: { limit: "start-upper-share" },
        assumed: { limit: "capacitor-start-tolerance-assumed" },
      },
      isHard: true,
      isSafety: true,
      wears: true,
      ...MARK,
    },
    volts: voltsAc(MARK),
    resistor: choice(
      "Bleed resistor",
      { yes: "fitted", no: "none" },
      { how: "Look between its terminals.", minutes: 0.5 },
      {
        rule: { kind: "instead", notes: { yes: { no: "resistor-to-move" }, no: { yes: "resistor-more" } } },
      },
    ),
    terminals: choice(
      "Terminals",
      { "double-tabs": "double tabs", leads: "wire leads" },
      { how: "Look.", minutes: 0.5 },
      { isHard: false },
    ),
  },
  never: [
    {
      id: "polarised",
      said: "A polarised capacitor bursts on AC.",
      when: (_, part) => part["polarised"] === true || part["volts"] === 0,
    },
  ],
  schools: {},
  notes: {
    "resistor-to-move": "Move the old resistor over if it measures in its band, or fit one: never without.",
    "resistor-more": "It has a bleed resistor that the old one had not: no harm.",
  },
  goesWith: [
    {
      label: "Bleed resistor 15 kΩ 2 W",
      why: "The old one had one; a start switch wears without it.",
      count: 1,
      priceMinor: 60,
      when: (need, part) => need["resistor"] === "yes" && part["resistor"] === "no",
    },
    {
      label: "Insulated tabs for its leads",
      why: "The old ones lose their spring.",
      count: 2,
      priceMinor: 30,
    },
  ],
  readMark: readStartCapacitor,
  fromJob: ({ marks, floors, hadResistor }) => [
    follows("kind", "start", "its place in the circuit"),
    ...fromMark(readStartCapacitor(marks.start ?? ""), "its mark"),
    follows("volts", floors.start, "least for this supply"),
    {
      attribute: "resistor",
      value: hadResistor ? "yes" : "no",
      from: hadResistor ? "measured" : "assumed",
      said: hadResistor ? "seen when it was read" : "none was seen",
    },
  ],
  used: {
    note: "Read it twice, a minute apart: one that lay for years reads right at first and fails at the second start.",
  },
  drawing,
  series: startCapacitors,
};
