import type { Family } from "@/core/matching/family";
import { choice, rating } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { resistors } from "./series";

const OHMS = { how: "Bands, or ohms with one leg lifted.", minutes: 2 };
/** How far its ohms may be off: it only has to drain. */
const OFF = 0.1;

/** Bleed resistors across a capacitor: ohms within a tenth, never fewer watts or volts. */
export const family: Family = {
  id: "bleed-resistor",
  title: "Bleed resistor",
  key: "resistance",
  attributes: {
    resistance: {
      label: "Ohms",
      unit: "Ω",
      rule: { kind: "share", note: OFF, temporary: OFF, cap: OFF },
      isHard: true,
      ...OHMS,
    },
    watts: rating("Watts", "W", { how: "Its size, or the old one's list.", minutes: 1 }),
    volts: rating("Volts", "V", { how: "The list: above the peak on the capacitor.", minutes: 1 }),
    kind: choice(
      "Kind",
      { wire: "wire-wound", film: "film" },
      { how: "Look.", minutes: 0.5 },
      { isHard: false },
    ),
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [
    { label: "Sleeve for its legs", why: "They stand at the capacitor's volts.", count: 2, priceMinor: 15 },
  ],
  used: { note: "Its ohms in their band, no dark spot on it." },
  drawing,
  series: resistors,
};
