import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, equal } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readNumber } from "./mark";
import { assemblies } from "./series";

/** Volts by which two supplies of one region are named: 220, 230 and 240 are one. Judged. */
const ONE_REGION = 12;

/** Whole units that a maker sells under a number: only the number, or one that replaces it, tells what fits. */
export const family: Family = {
  id: "assembly",
  title: "Assembly",
  key: "volts",
  attributes: {
    what: choice(
      "What",
      {
        "gear-motor": "motor and gears",
        "fan-motor": "motor and fan",
        "pump-motor": "motor and pump",
        head: "gear head",
        panel: "switch and board",
      },
      { how: "What comes off in one piece.", minutes: 1 },
    ),
    number: { ...MAKERS_NUMBER, isHard: true },
    volts: equal("Volts", "V", ONE_REGION, { how: "The machine's plate.", minutes: 0.5 }),
    hertz: count("Hertz", { how: "The machine's plate.", minutes: 0.5 }),
  },
  never: [],
  schools: {},
  notes: {},
  goesWith: [],
  readMark: readNumber,
  fromJob: ({ plate, mains }) => [
    follows("volts", plate.volts ?? mains.volts, "what feeds it"),
    follows("hertz", plate.hertz ?? mains.hertz, "what feeds it"),
  ],
  used: { note: "Run it by itself, guarded, before it is built in." },
  drawing,
  series: assemblies,
};
