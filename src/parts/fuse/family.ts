import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { choice, rating } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { FAMILIES_OF_RATING, readFuse } from "./mark";
import { fuses } from "./series";

const CAP = { how: "Read the end caps, with a glass.", minutes: 1 };

/** Fuses: the same amps, time and body, never less breaking capacity. Source: iec-60127-2, ul-248-14. */
export const family: Family = {
  id: "fuse",
  title: "Fuse",
  key: "amps",
  attributes: {
    rating: choice("Family of rating", FAMILIES_OF_RATING, CAP, { isSafety: true }),
    amps: {
      label: "Amps",
      unit: "A",
      rule: { kind: "at-most", slack: 0 },
      isHard: true,
      isSafety: true,
      ...CAP,
    },
    speed: choice("Time", { FF: "very fast", F: "fast", M: "medium", T: "slow", TT: "very slow" }, CAP, {
      isSafety: true,
    }),
    body: choice(
      "Body",
      { "5x20": "5 × 20 mm", "6.3x32": "6.3 × 32 mm", "plug-top": "6.3 × 25 mm, plug", blade: "blade" },
      { how: "Measure length and diameter.", minutes: 1 },
    ),
    breaking: choice(
      "Breaking capacity",
      { high: "high, sand-filled", enhanced: "enhanced", low: "low, glass" },
      { how: "H, E or L on the cap; sand or ceramic is high, clear glass is low.", minutes: 1 },
      { rule: { kind: "order", from: ["high", "enhanced", "low"] }, isSafety: true },
    ),
    volts: rating("Volts AC", "V", CAP),
  },
  never: [
    {
      id: "not-for-ac",
      said: "Made for DC in a vehicle: it does not break mains.",
      when: (_, part) => part["body"] === "blade" || part["volts"] === 0,
    },
  ],
  schools: {},
  notes: {},
  goesWith: [
    {
      label: "A second fuse of the same kind",
      why: "The next one that blows says more than the first.",
      count: 1,
      priceMinor: 40,
    },
  ],
  readMark: readFuse,
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  drawing,
  series: fuses,
};
