import { follows, fromPlate } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, rating, size, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { switches } from "./series";

const MARK = { how: "Read its body.", minutes: 1 };

/** Switches: volts and motor amps never under, poles and action the same. Source: iec-61058-1. */
export const family: Family = {
  id: "switch",
  title: "Switch",
  key: "poles",
  attributes: {
    action: choice(
      "Action",
      {
        latching: "stays on",
        momentary: "on while held",
        "no-volt": "drops out without mains",
        speed: "with speed control",
        reversing: "forward and back",
      },
      { how: "Work it.", minutes: 0.5 },
      { rule: { kind: "instead", notes: { latching: { "no-volt": "drops-out" } } }, isSafety: true },
    ),
    poles: count("Poles", { how: "Terminals, two to a pole.", minutes: 1 }),
    amps: rating("Amps for motors", "A", {
      how: "The figure in brackets, or after M: 10(4) A is 4 A.",
      minutes: 1,
    }),
    volts: voltsAc(MARK),
    cutout: size("Opening, length", 0.4, { how: "Caliper on the opening.", minutes: 1 }),
    seal: choice(
      "Against dust and wet",
      { IP65: "IP65", IP54: "IP54", none: "none" },
      { how: "A rubber hood, or IP on its body.", minutes: 0.5 },
      { rule: { kind: "order", from: ["IP65", "IP54", "none"] }, isHard: "when-known", isSafety: true },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: { "drops-out": "Drops out when the mains fails: it must be switched on again, and that is safer." },
  tellsOwner: ["drops-out"],
  goesWith: [
    {
      label: "Insulated tabs for its leads",
      why: "Heat took the old ones' spring.",
      count: 4,
      priceMinor: 30,
    },
  ],
  fromJob: ({ plate, mains }) => [
    ...fromPlate("amps", plate.amps, "amps on the plate"),
    follows("volts", plate.volts ?? mains.volts, "what feeds it"),
  ],
  used: { note: "It closes under a tenth of an ohm and opens to none, ten times over." },
  drawing,
  series: switches,
};
