import { follows, fromPlate } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { compareNumbers, MAKERS_NUMBER } from "@/core/matching/makers-number";
import type { Value } from "@/core/matching/part";
import { choice, count, rating, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { boards } from "./series";

/** Whether two numbers are of one board: the same, or one in place of the other. */
const isNumbered = (needed: Value | undefined, offered: Value | undefined): boolean =>
  typeof needed === "string" && typeof offered === "string" && compareNumbers(needed, offered) !== "other";

/** Speed controls and boards: only the maker's number tells the whole; ratings alone fit simple controls. */
export const family: Family = {
  id: "board",
  title: "Board or control",
  key: "amps",
  attributes: {
    kind: choice(
      "Kind",
      { triac: "speed control with a triac", soft: "soft start", timer: "timer", own: "the maker's own" },
      { how: "What it does.", minutes: 1 },
    ),
    amps: rating("Amps", "A", { how: "Plate amps of the machine.", minutes: 1 }),
    volts: voltsAc({ how: "Read it.", minutes: 0.5 }),
    leads: count("Leads", { how: "Count.", minutes: 0.5 }),
    feedback: choice(
      "Speed sensor",
      { yes: "with", no: "without" },
      { how: "Two thin leads to the motor's end.", minutes: 1 },
    ),
    number: MAKERS_NUMBER,
  },
  never: [
    {
      id: "own-number",
      said: "The maker's own board: only one of the same number fits, and no figure shows which.",
      when: (need, part) =>
        (need["kind"] === "own" || part["kind"] === "own") && !isNumbered(need["number"], part["number"]),
    },
  ],
  schools: {},
  notes: {},
  goesWith: [],
  fromJob: ({ plate, mains }) => [
    ...fromPlate("amps", plate.amps, "amps on the plate"),
    follows("volts", plate.volts ?? mains.volts, "what feeds it"),
  ],
  used: { note: "Look it over for burnt tracks and domed cans; its capacitors have aged with it." },
  drawing,
  series: boards,
};
