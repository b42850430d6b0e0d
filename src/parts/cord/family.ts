import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, count, rating } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { cords } from "./series";

/** Amps that a core of a section carries in a cord of an appliance; square metres. Source: iec-60335-1. */
const CARRIES = [
  [0.75e-6, 6],
  [1e-6, 10],
  [1.5e-6, 16],
] as const;

/** The least section for the amps of a plate, square metres. */
export const sectionFor = (amps: number): number => CARRIES.find(([, most]) => amps <= most)?.[0] ?? 2.5e-6;

/** Cords: the conductors, their section and sheath never under. Source: iec-60245-4. */
export const family: Family = {
  id: "cord",
  title: "Cord",
  key: "section",
  attributes: {
    cores: count(
      "Cores",
      { how: "Three with earth, two for double insulated.", minutes: 0.5 },
      { isSafety: true },
    ),
    section: rating("Section of a core", "m²", {
      how: "Plate amps: 0.75 mm² to 6 A, 1.0 to 10, 1.5 to 16.",
      minutes: 1,
    }),
    sheath: choice(
      "Sheath",
      { "rubber-heavy": "heavy rubber, outdoors", rubber: "rubber", pvc: "plastic", light: "light plastic" },
      { how: "Print on the sheath; what it is dragged over.", minutes: 1 },
      { rule: { kind: "order", from: ["rubber-heavy", "rubber", "pvc", "light"] }, isSafety: true },
    ),
    length: {
      label: "Length",
      unit: "m",
      rule: { kind: "trim", within: 0.01 },
      isHard: true,
      how: "Tape.",
      minutes: 1,
    },
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [
    {
      label: "Strain relief for its sheath",
      why: "The old one breaks when it is pulled out.",
      count: 1,
      priceMinor: 80,
    },
    {
      label: "Crimps and tabs for its cores",
      why: "Bare strands under a screw work loose.",
      count: 3,
      priceMinor: 30,
    },
  ],
  fromJob: ({ plate, hasEarth }) => [
    ...(hasEarth === undefined
      ? []
      : [follows("cores", hasEarth ? 3 : 2, hasEarth ? "it has an earth" : "double insulated")]),
    ...(plate.amps === undefined ? [] : [follows("section", sectionFor(plate.amps), "amps on the plate")]),
  ],
  drawing,
  series: cords,
};
