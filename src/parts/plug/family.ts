import { follows, fromPlate } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, rating } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { plugs } from "./series";

/** Plugs and strain reliefs: the outlet's own kind, earth kept, the sheath held. Local codes come first. */
export const family: Family = {
  id: "plug",
  title: "Plug or strain relief",
  key: "amps",
  attributes: {
    piece: choice("Piece", { plug: "plug", relief: "strain relief" }, { how: "Look.", minutes: 0.5 }),
    earth: choice(
      "Earth",
      { yes: "with earth", no: "without" },
      { how: "Class I has it, always.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { no: { yes: "earth-unused" } } }, isSafety: true },
    ),
    amps: rating("Amps", "A", { how: "Read it.", minutes: 0.5 }),
    sheath: choice(
      "Holds a sheath of",
      { "5-7": "5 to 7 mm", "6-9": "6 to 9 mm", "8-11": "8 to 11 mm" },
      { how: "Caliper on the sheath.", minutes: 1 },
      { isSafety: true },
    ),
  },
  never: [],
  schools: {},
  notes: { "earth-unused": "Its earth stays empty: nothing of a double-insulated machine goes to it." },
  goesWith: [],
  fromJob: ({ plate, earth }) => [
    ...(earth ? [follows("earth", earth.isNeeded ? "yes" : "no", earth.said)] : []),
    ...fromPlate("amps", plate.amps, "amps on the plate"),
  ],
  used: { note: "No heat mark at a pin, and its grip holds the sheath." },
  drawing,
  series: plugs,
};
