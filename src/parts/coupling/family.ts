import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { couplings } from "./series";

/** Spiders and coupling halves: the soft piece breaks first, and stays soft. */
export const family: Family = {
  id: "coupling",
  title: "Coupling",
  key: "outside",
  attributes: {
    piece: choice(
      "Piece",
      { spider: "soft spider", half: "half with a bore" },
      { how: "Look.", minutes: 0.5 },
    ),
    outside: size("Outside", 0.3, { how: "Caliper.", minutes: 1 }),
    arms: count("Arms or claws", { how: "Count.", minutes: 0.5 }),
    bore: size("Bore", 0.05, { how: "Caliper on the shaft.", minutes: 1 }, { isHard: "when-known" }),
    hardness: choice(
      "Hardness",
      { soft: "soft, 80 A", medium: "medium, 92 A", hard: "hard, 98 A" },
      { how: "Its colour in the maker's list, or a thumbnail.", minutes: 1 },
      { rule: { kind: "instead", notes: { medium: { soft: "softer" }, hard: { medium: "softer" } } } },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { softer: "Softer than the old one: it gives way sooner, and spares the gears." },
  goesWith: [
    {
      label: "A second spider",
      why: "It is made to break, and cheaper than a second postage.",
      count: 1,
      priceMinor: 140,
      when: (need) => need["piece"] === "spider",
    },
  ],
  used: { note: "No crack in its rubber, and its bore not worn." },
  drawing,
  series: couplings,
};
