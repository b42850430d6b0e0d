import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, rating, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { fans } from "./series";

/** Fans and impellers on a shaft: outside, bore, hand and blades. */
export const family: Family = {
  id: "fan",
  title: "Fan or impeller",
  key: "outside",
  attributes: {
    outside: size("Outside", 1, { how: "Across the blades.", minutes: 1 }),
    bore: size("Bore", 0.05, { how: "Caliper on the shaft.", minutes: 1 }),
    hub: choice(
      "Held by",
      { flat: "a flat", screw: "a set screw", press: "a press fit" },
      { how: "Look.", minutes: 0.5 },
    ),
    turns: choice(
      "Blows when turned",
      { cw: "clockwise", ccw: "anticlockwise", either: "either way, straight blades" },
      { how: "Lean of the blades, seen from the shaft's end.", minutes: 1 },
    ),
    blades: count("Blades", { how: "Count.", minutes: 0.5 }, { isHard: false }),
    speed: rating("Made for, turns a minute", "1/min", { how: "The motor's plate.", minutes: 1 }),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  used: { note: "No crack at the root of a blade, and it runs true." },
  drawing,
  series: fans,
};
