import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { belts } from "./series";

/** Shares by which a belt's length may be off, by what the tensioner takes up. Judged. */
const TAKEN_UP = 0.005;
const AT_MOST = 0.015;

/** Belts: the same section, ribs or teeth; length by what the seat takes up. Source: iso-4184, iso-5296. */
export const family: Family = {
  id: "belt",
  title: "Belt",
  key: "length",
  attributes: {
    section: choice(
      "Section",
      {
        z: "V, 10 × 6",
        a: "V, 13 × 8",
        b: "V, 17 × 11",
        spz: "narrow V, 9.7 × 8",
        j: "ribbed, 2.34 pitch",
        h: "ribbed, 1.6 pitch",
        "t-3": "toothed, 3 mm",
        "t-5": "toothed, 5 mm",
        "t-8": "toothed, 8 mm",
        round: "round",
      },
      { how: "Width at the top and height; pitch over ten teeth or ribs.", minutes: 2 },
    ),
    count: count("Ribs, or width in mm", {
      how: "Count the ribs; of a toothed belt measure the width.",
      minutes: 1,
    }),
    length: {
      label: "Length when new",
      unit: "m",
      rule: { kind: "share", note: TAKEN_UP, temporary: AT_MOST, cap: AT_MOST },
      isHard: true,
      how: "A thread round both pulleys with the tensioner in the middle: an old belt has stretched.",
      minutes: 4,
    },
    stretch: choice(
      "Stretch",
      { elastic: "elastic, no tensioner", fixed: "fixed length" },
      { how: "No tensioner and no slot to move the motor: elastic.", minutes: 1 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  together: [
    {
      kind: "add",
      attribute: "count",
      // Ribs of one groove each; a V-belt fills its groove, teeth must run in step.
      when: ({ section }) => section === "j" || section === "h",
      said: "Beside each other on the same pulleys: two of one make, bought together, so that both carry.",
    },
  ],
  used: { note: "Bend it inside out: no crack, no glaze, and the length that it has now." },
  drawing,
  series: belts,
};
