import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { shaftSeals } from "./series";

/** Seals round a turning shaft: three sizes and the lip. Source: iso-6194-1. */
export const family: Family = {
  id: "shaft-seal",
  title: "Shaft seal",
  key: "shaft",
  attributes: {
    shaft: size("Shaft", 0.1, { how: "Caliper on the shaft beside the groove the lip wore.", minutes: 2 }),
    outside: size("Outside", 0.1, { how: "Caliper, or the number on the old one.", minutes: 1 }),
    width: size("Width", 0.3, { how: "Depth of its seat.", minutes: 1 }),
    lip: choice(
      "Lip",
      { single: "one", double: "two, against dust" },
      { how: "Look from outside.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { single: { double: "dust-lip" } } } },
    ),
    material: choice(
      "Material",
      { nbr: "nitrile", fkm: "fluorocarbon" },
      { how: "Black to 100 °C, brown beyond.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { nbr: { fkm: "better-rubber" } } } },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {
    "dust-lip": "Two lips for one: drags a little more, keeps dust out.",
    "better-rubber": "Fluorocarbon for nitrile: stands more heat.",
  },
  goesWith: [
    { label: "Grease for seals", why: "A dry lip burns at the first start.", count: 1, priceMinor: 180 },
  ],
  used: { never: "The lip of a used seal has worn to its old shaft: always a new one." },
  drawing,
  series: shaftSeals,
};
