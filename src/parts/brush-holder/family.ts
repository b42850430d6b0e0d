import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { brushHolders } from "./series";

/** What holds a brush and presses it: the slot by the brush, the seat by the housing. */
export const family: Family = {
  id: "brush-holder",
  title: "Brush holder or spring",
  key: "thickness",
  fitted: 2,
  attributes: {
    piece: choice(
      "Piece",
      { holder: "holder", spring: "spring", cap: "screw cap" },
      { how: "Look.", minutes: 0.5 },
    ),
    thickness: size("Slot, short side", 0.15, {
      how: "Of the brush, a new one: it slides and does not tilt.",
      minutes: 1,
    }),
    width: size("Slot, long side", 0.15, { how: "Of the brush, a new one.", minutes: 1 }),
    seat: size(
      "Across its seat",
      0.1,
      { how: "Caliper, in the housing; of a cap its thread.", minutes: 2 },
      { isHard: "when-known" },
    ),
    press: choice(
      "Presses by",
      { coil: "a coil", spiral: "a spiral arm", none: "nothing of its own" },
      { how: "Look; blue or soft is a spring that was too hot.", minutes: 0.5 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [
    {
      label: "Brush pair of the same size",
      why: "A worn brush in a new holder wears it at once.",
      count: 1,
      priceMinor: 380,
    },
  ],
  used: { note: "No burnt edge, and its spring as strong as the other one." },
  drawing,
  series: brushHolders,
};
