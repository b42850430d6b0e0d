import type { Family } from "@/core/matching/family";
import { choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readORing } from "./mark";
import { oRings } from "./series";

/** O-rings by inside and cord, and by what they must stand. Source: iso-3601-1. */
export const family: Family = {
  id: "o-ring",
  title: "O-ring",
  key: "inside",
  attributes: {
    inside: size("Inside", 0.3, { how: "Its groove's floor: an old ring has stretched.", minutes: 2 }),
    cord: size("Cord", 0.1, {
      how: "Caliper, without squeezing; the groove is about a fifth less deep.",
      minutes: 1,
    }),
    material: choice(
      "Material",
      {
        nbr: "nitrile, oil",
        epdm: "EPDM, water and steam",
        fkm: "fluorocarbon, hot oil",
        silicone: "silicone, food",
      },
      { how: "What it seals: oil, water, food, heat.", minutes: 1 },
      { rule: { kind: "instead", notes: { nbr: { fkm: "better-rubber" } } } },
    ),
  },
  never: [],
  schools: {},
  notes: { "better-rubber": "Fluorocarbon for nitrile: stands more, costs more." },
  goesWith: [
    { label: "Grease for seals", why: "Dry rings tear when they are put in.", count: 1, priceMinor: 180 },
  ],
  readMark: readORing,
  used: { never: "A ring that was in use has set to its old groove: always a new one." },
  drawing,
  series: oRings,
};
