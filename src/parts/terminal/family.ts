import type { Family } from "@/core/matching/family";
import { choice, rating, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { terminals } from "./series";

/** Tabs and crimps: the blade they go on, the wire they take, the heat they stand. Source: iec-61210. */
export const family: Family = {
  id: "terminal",
  title: "Terminal",
  key: "blade",
  attributes: {
    blade: size("Blade", 0.1, { how: "Caliper across the blade: 2.8, 4.8 or 6.3 mm.", minutes: 0.5 }),
    wire: choice(
      "Takes a wire of",
      { small: "0.5 to 1 mm²", middle: "1 to 2.5 mm²", large: "4 to 6 mm²" },
      { how: "Strands times their section, or the print.", minutes: 1 },
      { isSafety: true },
    ),
    heat: rating("Stands", "K", { how: "Beside a heater or in a motor: 150 °C, else 105.", minutes: 0.5 }),
    cover: choice(
      "Cover",
      { full: "whole", barrel: "barrel only", none: "bare" },
      { how: "Look.", minutes: 0.5 },
      { rule: { kind: "order", from: ["full", "barrel", "none"] }, isSafety: true },
    ),
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  used: {
    never:
      "A terminal holds by being pressed once: pressed again it works loose and burns. Always a new one.",
  },
  drawing,
  series: terminals,
};
