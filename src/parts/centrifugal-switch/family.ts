import { follows, fromPlate } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, rating, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { startSwitches } from "./series";

/** Start switches and their weights: the poles of the motor say when they let go. */
export const family: Family = {
  id: "centrifugal-switch",
  title: "Start switch",
  key: "shaft",
  attributes: {
    piece: choice(
      "Piece",
      { switch: "contacts", weights: "weights", both: "both" },
      { how: "Look.", minutes: 0.5 },
      {
        rule: { kind: "instead", notes: { switch: { both: "whole-set" }, weights: { both: "whole-set" } } },
      },
    ),
    shaft: size("Shaft under the weights", 0.05, { how: "Caliper.", minutes: 2 }),
    poles: count("Poles of its motor", { how: "Plate speed.", minutes: 1 }),
    hertz: count("Hertz of its motor", { how: "Plate.", minutes: 0.5 }),
    amps: rating("Contact amps", "A", { how: "Four to six times the plate amps.", minutes: 1 }),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { "whole-set": "Contacts and weights together: fit both, they wear on each other." },
  goesWith: [],
  fromJob: ({ plate, mains }) => [
    ...fromPlate("poles", plate.poles, "speed on the plate"),
    follows("hertz", plate.hertz ?? mains.hertz, "the mains here"),
  ],
  used: { note: "Contacts clean and square, springs of one length, and it clicks at speed." },
  drawing,
  series: startSwitches,
};
