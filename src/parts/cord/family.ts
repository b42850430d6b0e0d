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
  [2.5e-6, 25],
  [4e-6, 32],
] as const;
const MOST_AMPS = Math.max(...CARRIES.map(([, most]) => most));

/** The least section for the amps of a plate, square metres; undefined above all of the table. */
export const sectionFor = (amps: number): number | undefined => CARRIES.find(([, most]) => amps <= most)?.[0];

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
      how: "Plate amps: 0.75 mm² to 6 A, 1 to 10, 1.5 to 16, 2.5 to 25, 4 to 32.",
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
  fromJob: ({ plate, earth }) => {
    const section = plate.amps === undefined ? undefined : sectionFor(plate.amps);
    return [
      ...(earth ? [follows("cores", earth.isNeeded ? 3 : 2, earth.said)] : []),
      ...(section === undefined ? [] : [follows("section", section, "amps on the plate")]),
    ];
  },
  reserves: ({ section }, { plate }) => {
    if (plate.amps !== undefined && plate.amps > MOST_AMPS)
      return [
        {
          attribute: "section",
          keeps: true,
          said: `The plate says more than ${MOST_AMPS} A: ask a licensed electrician for its cord.`,
        },
      ];
    if (plate.amps !== undefined || section?.value === undefined) return [];
    return [
      {
        attribute: "section",
        keeps: false,
        said: "The plate’s amps are not read: the section is that of the old cord, and that one may have been wrong.",
      },
    ];
  },
  used: { note: "Flexed along its whole length on the ohms, its insulation read, no cut and no stiff end." },
  drawing,
  series: cords,
};
