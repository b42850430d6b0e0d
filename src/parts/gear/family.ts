import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, equal, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { gears } from "./series";

/** Gears: module, teeth, bore and helix exact; what was made to give way stays so. Source: iso-54. */
export const family: Family = {
  id: "gear",
  title: "Gear",
  key: "teeth",
  attributes: {
    teeth: count("Teeth", { how: "Count, the broken ones too.", minutes: 1 }),
    module: equal("Module", "m", 0.02e-3, {
      how: "Outside divided by teeth and two; the mating gear has the same.",
      minutes: 3,
    }),
    bore: size("Bore", 0.05, { how: "Caliper on the shaft.", minutes: 1 }),
    width: size("Face", 0.5, { how: "Caliper.", minutes: 1 }),
    helix: choice(
      "Helix",
      { straight: "straight", left: "left", right: "right" },
      { how: "Look.", minutes: 0.5 },
    ),
    material: choice(
      "Material",
      {
        plastic: "plastic, gives way first",
        fibre: "fibre, gives way first",
        steel: "steel",
        brass: "brass",
      },
      { how: "Look.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { fibre: { plastic: "as-soft" }, brass: { steel: "harder" } } } },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {
    "as-soft": "Plastic for fibre: as soft, and quieter.",
    harder: "Steel for brass: the mating gear wears instead.",
  },
  goesWith: [
    {
      label: "Grease for its material",
      why: "The old one hardened; some attack plastic.",
      count: 1,
      priceMinor: 240,
    },
  ],
  used: { note: "Teeth not hollow; it has run in with another wheel, so change both where both are there." },
  drawing,
  series: gears,
};
