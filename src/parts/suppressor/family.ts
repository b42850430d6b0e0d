import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { ceiling, choice, size, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { suppressors } from "./series";

const MARK = { how: "Read its mark.", minutes: 1 };

/** Capacitors against noise: across the mains X, from the mains to the frame Y; never a lower class. Source: iec-60384-14. */
export const family: Family = {
  id: "suppressor",
  title: "Suppressor",
  key: "capacitance",
  attributes: {
    class: choice("Class", { Y1: "Y1", Y2: "Y2", X1: "X1", X2: "X2", none: "none" }, MARK, {
      rule: {
        kind: "instead",
        notes: {
          X2: { X1: "higher-class", Y2: "higher-class", Y1: "higher-class" },
          X1: { Y1: "higher-class", Y2: "higher-class" },
          Y2: { Y1: "higher-class" },
        },
      },
      isSafety: true,
    }),
    capacitance: ceiling("Capacitance", "F", 50e-9, MARK, { isSafety: true }),
    volts: voltsAc(MARK),
    pitch: size("Pitch of its legs", 0.6, { how: "Caliper.", minutes: 0.5 }, { isHard: false }),
  },
  never: [
    {
      id: "no-class",
      said: "A capacitor without a class may burn or put the frame at mains.",
      when: (_, part) => part["class"] === "none",
    },
  ],
  schools: {},
  notes: { "higher-class": "A higher class than the old one: no harm." },
  goesWith: [{ label: "Sleeve for its legs", why: "They pass bare metal.", count: 2, priceMinor: 15 }],
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  used: {
    never: "A used one has stood across the mains for years and says nothing of its age: always a new one.",
  },
  drawing,
  series: suppressors,
};
