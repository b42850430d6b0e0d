import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, rating, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { holders } from "./series";

/** Fuse holders: the body of its fuse, and ratings never under. Source: iec-60127-6. */
export const family: Family = {
  id: "fuse-holder",
  title: "Fuse holder",
  key: "amps",
  attributes: {
    body: choice(
      "For fuses of",
      { "5x20": "5 × 20 mm", "6.3x32": "6.3 × 32 mm" },
      { how: "Measure the fuse.", minutes: 1 },
    ),
    mount: choice(
      "Mounting",
      { panel: "in a panel", line: "in the lead", board: "on a board" },
      { how: "Look.", minutes: 0.5 },
    ),
    amps: rating("Amps", "A", { how: "At least the fuse's own.", minutes: 0.5 }),
    volts: voltsAc({ how: "Read it.", minutes: 0.5 }),
    insulated: choice(
      "Touch",
      { yes: "shrouded", no: "open clips" },
      { how: "Whether a finger meets metal.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { no: { yes: "shrouded" } } }, isSafety: true },
    ),
  },
  never: [],
  schools: {},
  notes: { shrouded: "Shrouded where the old one was open: better." },
  goesWith: [
    {
      label: "Insulated tabs for its leads",
      why: "A loose tab blows the next fuse.",
      count: 2,
      priceMinor: 30,
    },
  ],
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  used: { note: "Its clips springy and bright." },
  drawing,
  series: holders,
};
