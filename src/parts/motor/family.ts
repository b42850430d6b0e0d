import { follows, fromPlate, type JobFacts } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { MAKERS_NUMBER } from "@/core/matching/makers-number";
import { choice, count, equal, rating, size } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { motors } from "./series";

/** Kinds that are fed by the mains as they come. */
const ON_MAINS: ReadonlyMap<string, string> = new Map([
  ["capacitor-start", "capacitor start"],
  ["capacitor-start-run", "capacitor start, capacitor run"],
  ["permanent-split-capacitor", "run capacitor"],
  ["split-phase", "split phase"],
  ["shaded-pole", "shaded pole"],
  ["synchronous", "synchronous"],
  ["universal", "brushed, for mains"],
  ["three-phase", "three phases"],
]);
/** Kinds that a board or a battery feeds: the machine's plate says nothing of their volts. */
const BEHIND_A_BOARD: ReadonlyMap<string, string> = new Map([
  ["permanent-magnet-dc", "brushed, permanent magnets"],
  ["electronically-commutated", "brushless, with electronics"],
]);

const KINDS: ReadonlyMap<string, string> = new Map([...ON_MAINS, ...BEHIND_A_BOARD]);

const PLATE = { how: "Read its plate.", minutes: 1 };

/** What plate and mains say of a motor that is fed by the mains. */
const fromSupply = ({ plate, mains }: JobFacts) => [
  ...fromPlate("volts", plate.volts),
  ...fromPlate("hertz", plate.hertz),
  ...fromPlate("watts", plate.watts),
  ...fromPlate("poles", plate.poles, "speed on the plate"),
  ...(plate.volts === undefined ? [follows("volts", mains.volts, "the mains here")] : []),
  ...(plate.hertz === undefined ? [follows("hertz", mains.hertz, "the mains here")] : []),
];

/** Whole motors: supply, speed, rotation, shaft and mounting exact; watts, duty and enclosure never under. Source: iec-60034-1. */
export const family: Family = {
  id: "motor",
  title: "Motor",
  key: "watts",
  attributes: {
    volts: equal("Volts", "V", 12, PLATE, { isSafety: true }),
    hertz: equal("Hertz", "Hz", 0.5, PLATE, { isSafety: true }),
    poles: count("Poles", { how: "Plate speed: just under 3000, 1500, 1000 at 50 Hz.", minutes: 1 }),
    watts: rating("Watts at the shaft", "W", PLATE, {
      rule: { kind: "at-least", more: { limit: "motor-watts-more" } },
    }),
    kind: choice(
      "Kind",
      Object.fromEntries(KINDS),
      { how: "What motor is this.", minutes: 3 },
      {
        rule: {
          kind: "instead",
          notes: {
            "split-phase": { "capacitor-start": "stronger-start", "capacitor-start-run": "stronger-start" },
            "capacitor-start": { "capacitor-start-run": "stronger-start" },
          },
        },
      },
    ),
    rotation: choice(
      "Turns, seen on the shaft's end",
      { cw: "clockwise", ccw: "anticlockwise", either: "either, by its leads" },
      {
        how: "Arrow on the housing; of a shaded pole from the plain side of the pole to its ring.",
        minutes: 1,
      },
      {
        rule: {
          kind: "instead",
          notes: {
            cw: { either: "set-rotation" },
            ccw: { either: "set-rotation" },
            either: { cw: "one-way", ccw: "one-way" },
          },
        },
        isSafety: true,
      },
    ),
    shaft: size("Shaft", 0.05, { how: "Caliper.", minutes: 1 }),
    reach: {
      label: "Shaft length",
      unit: "m",
      rule: { kind: "trim", within: 1e-3 },
      isHard: true,
      how: "From the face to the end.",
      minutes: 1,
    },
    mount: choice(
      "Mounting",
      { foot: "feet", face: "face", flange: "flange", studs: "through studs", cradle: "rings in a cradle" },
      { how: "Look, then measure the pattern.", minutes: 2 },
    ),
    enclosure: choice(
      "Enclosure",
      { closed: "closed, fan outside", dripproof: "drip-proof", open: "open" },
      { how: "Holes in its shells.", minutes: 0.5 },
      {
        rule: {
          kind: "instead",
          notes: {
            open: { dripproof: "closer", closed: "closed-for-open" },
            dripproof: { closed: "closed-for-open" },
          },
        },
        isSafety: true,
      },
    ),
    protector: choice(
      "Protector",
      { hand: "reset by hand", self: "resets itself", none: "none" },
      { how: "A button, or the letters on the plate.", minutes: 1 },
      {
        rule: {
          kind: "instead",
          notes: { self: { hand: "hand-for-self" }, none: { hand: "hand-more", self: "self-more" } },
        },
        isSafety: true,
      },
    ),
    number: MAKERS_NUMBER,
  },
  never: [],
  schools: {},
  notes: {
    "stronger-start": "Starts harder than the old one: look at belt, gears and fuse.",
    "set-rotation": "Set its rotation by its leads before the belt goes on.",
    closer: "Drip-proof for open: keep its slots free, it takes less air.",
    "closed-for-open":
      "Closed for open: it cools by its own fan, so that needs room, and no air that the machine blew through the old one.",
    "one-way": "Turns one way only: the machine must never need the other.",
    "hand-for-self": "Its protector stays open until somebody presses it.",
    "hand-more": "It has a protector that the old one had not.",
    "self-more":
      "It has a protector that resets itself: it may start by itself. Only behind a switch that drops out.",
  },
  tellsOwner: ["stronger-start", "one-way", "hand-for-self", "hand-more", "self-more"],
  goesWith: [
    { label: "Key for its shaft", why: "The old one is chewed.", count: 1, priceMinor: 90 },
    {
      label: "Its capacitor, as its plate asks",
      why: "The old one's value belongs to the old winding.",
      count: 1,
      priceMinor: 900,
      when: (_, part) => String(part["kind"]).includes("capacitor"),
    },
  ],
  fromJob: (facts) => [
    ...(facts.motor === undefined || ON_MAINS.has(facts.motor) ? fromSupply(facts) : []),
    // A vibrator or a sealed compressor is no motor that is sold alone.
    ...(facts.motor !== undefined && KINDS.has(facts.motor)
      ? [follows("kind", facts.motor, "what motor it is")]
      : []),
  ],
  used: { note: "Its insulation read, its shaft without play, and a run by itself before it is built in." },
  drawing,
  series: motors,
};
