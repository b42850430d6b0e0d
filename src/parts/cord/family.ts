import type { Family } from "@/core/matching/family";
import { choice, count, rating } from "@/core/matching/specs";
import { cords } from "./series";

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
  series: cords,
};
