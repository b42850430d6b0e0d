import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readDual } from "./mark";
import { dualCapacitors } from "./series";

const MARK = { how: "Read its mark, each section by its terminal.", minutes: 1 };
const value = (label: string) =>
  ({
    label,
    unit: "F",
    rule: {
      kind: "share",
      note: { limit: "run-substitute-share" },
      temporary: { limit: "run-temporary-share" },
      cap: { limit: "run-temporary-share" },
    },
    isHard: true,
    isSafety: true,
    wears: true,
    ...MARK,
  }) as const;

/** Cans with two sections on one common: each that is used must fit by itself. Source: iec-60252-1. */
export const family: Family = {
  id: "dual-capacitor",
  title: "Dual run capacitor",
  key: "larger",
  attributes: {
    larger: value("Larger section"),
    smaller: value("Smaller section"),
    volts: voltsAc(MARK),
    shape: choice(
      "Case",
      { round: "round", oval: "oval" },
      { how: "Look.", minutes: 0.5 },
      { isHard: false },
    ),
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [
    {
      label: "Insulated tabs for its leads",
      why: "The old ones lose their spring.",
      count: 3,
      priceMinor: 30,
    },
  ],
  together: [
    {
      kind: "split",
      family: "run-capacitor",
      of: ["larger", "smaller"],
      as: "capacitance",
      also: { kind: "run" },
      carries: ["volts"],
      said: "Two single cans: one tab of each joined to the common lead, each held by a strap of its own.",
    },
  ],
  readMark: readDual,
  fromJob: ({ floors }) => [follows("volts", floors.run, "least for this supply")],
  used: { note: "Read both sections; it is as old as the machine it came from." },
  drawing,
  series: dualCapacitors,
};
