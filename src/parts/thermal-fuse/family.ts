import { follows } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { ceiling, choice, rating, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { readThermalFuse } from "./mark";
import { thermalFuses } from "./series";

const MARK = { how: "Read its body: °C, amps and volts.", minutes: 1 };

/** Degrees by which a lower opening temperature still fits; below that it trips for nothing. Judged. */
const NEAR = 5;

/** Thermal fuses and cut-outs: never a higher temperature, never one that closes by itself for one that does not. */
export const family: Family = {
  id: "thermal-fuse",
  title: "Thermal fuse or cut-out",
  key: "opens",
  attributes: {
    opens: ceiling("Opens at", "K", NEAR, MARK, { isSafety: true }),
    reset: choice(
      "Resets",
      { "one-shot": "never, one shot", hand: "by hand", self: "by itself" },
      { how: "A button, a bimetal that clicks back when cold, or none of them.", minutes: 2 },
      {
        rule: {
          kind: "instead",
          notes: {
            self: { hand: "hand-for-self", "one-shot": "once-for-self" },
            hand: { "one-shot": "once-for-hand" },
          },
        },
        isSafety: true,
      },
    ),
    contact: choice(
      "When it is too hot it",
      { opens: "opens", closes: "closes, for an alarm or a fan" },
      { how: "Cold: one that opens reads near 0 Ω, one that closes reads none.", minutes: 1 },
      { isSafety: true },
    ),
    amps: rating("Amps", "A", MARK),
    volts: voltsAc(MARK),
    case: choice(
      "Case",
      { bare: "bare, metal", insulated: "in a sleeve of its own", disc: "disc on a tab" },
      { how: "Look whether metal touches the winding.", minutes: 1 },
      { rule: { kind: "instead", notes: { bare: { insulated: "sleeve-more" } } }, isSafety: true },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {
    "sleeve-more":
      "In a sleeve of its own where the old one was bare: press it close, it feels the heat later.",
    "hand-for-self": "Stays open until somebody presses it: the owner has to know that.",
    "once-for-self": "Opens once and for all: the next overheating ends it.",
    "once-for-hand": "Opens once and for all: the button goes.",
  },
  tellsOwner: ["hand-for-self", "once-for-self", "once-for-hand"],
  goesWith: [
    { label: "Crimp joints for 150 °C", why: "Solder heats it until it opens.", count: 2, priceMinor: 40 },
    {
      label: "Sleeve of glass fibre",
      why: "It lies against the winding as the old one did.",
      count: 1,
      priceMinor: 60,
    },
  ],
  readMark: readThermalFuse,
  fromJob: ({ plate, mains }) => [
    follows("contact", "opens", "it guards the motor"),
    follows("volts", plate.volts ?? mains.volts, "what feeds it"),
  ],
  used: {
    never: "A thermal fuse that was soldered or crimped once has been heated and bent: always a new one.",
  },
  drawing,
  series: thermalFuses,
};
