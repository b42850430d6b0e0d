import type { Family } from "@/core/matching/family";
import { ceiling, choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { bushes } from "./series";

/** How much shorter than its seat a bush may be, metres. Judged. */
const SHORTER = 2e-3;

/** Plain bushes: bore and outside exact, never longer than the seat. Source: iso-2795. */
export const family: Family = {
  id: "bush",
  title: "Bush",
  key: "bore",
  fitted: 2,
  attributes: {
    bore: size("Bore", 0.02, {
      how: "Caliper on the shaft where it did not run, not in the worn bush.",
      minutes: 3,
    }),
    outside: size("Outside", 0.02, { how: "Caliper on the bush, or in its seat.", minutes: 2 }),
    length: ceiling("Length", "m", SHORTER, { how: "Depth of the seat.", minutes: 1 }),
    material: choice(
      "Material",
      { sintered: "sintered bronze, oiled", solid: "solid bronze", plastic: "plastic" },
      { how: "Pores and oil: sintered.", minutes: 1 },
      { rule: { kind: "instead", notes: { solid: { sintered: "oiled-for-solid" } } } },
    ),
    flange: choice("Flange", { yes: "yes", no: "no" }, { how: "Look.", minutes: 0.5 }),
  },
  never: [],
  schools: {},
  notes: { "oiled-for-solid": "Sintered for solid: its oil is its own, an oil hole goes unused." },
  goesWith: [{ label: "Felt for oil", why: "The old one is hard.", count: 1, priceMinor: 40 }],
  together: [
    {
      kind: "nest",
      inside: "bore",
      outside: "outside",
      said: "The smaller pressed into the larger, both flush; try the bore on the shaft before it is built in.",
    },
  ],
  used: { never: "A bush has worn to another shaft, and pressing it out upsets its bore: always a new one." },
  drawing,
  series: bushes,
};
