import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { overloads } from "./series";

const MARK = { how: "Read it, or the motor's plate amps.", minutes: 1 };

/** Overloads: never more amps, never one that resets itself for one reset by hand. Source: iec-60730-2-9. */
export const family: Family = {
  id: "overload",
  title: "Overload",
  key: "amps",
  attributes: {
    amps: {
      label: "Holds",
      unit: "A",
      rule: { kind: "share", note: 0, temporary: 0, cap: 0 },
      isHard: true,
      isSafety: true,
      ...MARK,
    },
    reset: choice(
      "Resets",
      { hand: "by hand", self: "by itself" },
      { how: "A button, or a click when cold.", minutes: 1 },
      { rule: { kind: "instead", notes: { self: { hand: "hand-for-self" } } }, isSafety: true },
    ),
    volts: voltsAc(MARK),
    senses: choice(
      "Senses",
      { current: "current", "current-and-heat": "current and the motor's heat" },
      { how: "Whether it lies against the winding or the can.", minutes: 1 },
      { rule: { kind: "order", from: ["current-and-heat", "current"] }, isSafety: true },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { "hand-for-self": "Stays open until somebody presses it: the owner has to know that." },
  tellsOwner: ["hand-for-self"],
  goesWith: [],
  fromJob: ({ plate, mains }) => [follows("volts", plate.volts ?? mains.volts, "what feeds it")],
  used: {
    never:
      "Each trip has moved the point at which it trips, and no meter shows where it is now: always a new one.",
  },
  drawing,
  series: overloads,
};
