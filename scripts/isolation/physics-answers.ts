// What each move finds on a machine made by physics. Thresholds here are a repairer's senses and a pocket meter's limits;
// no chance of the knowledge stands in this file. A move that is not here cannot be made on such a machine: "could not".

import type { SeededRandom } from "@/core/seeded-random";
import type { Mechanics, SimulatedCapacitor } from "@/core/simulation/faulty-machine";
import type { Drag } from "@/core/simulation/friction";
import { meterShows } from "@/core/simulation/meter";
import { shaftDrag } from "@/core/simulation/run-machine";
import { drawFor, isStanding, type OnTheBench } from "./physics-machine";
import { type Answers, isOpen, LONG_RUN_SECONDS, LOUD_FROM, RUNS, shownAs } from "./physics-runs";

/** A hand is no torque meter: what it feels differs by a sixth either way. */
const HAND = 1 / 6;
const STIFF_FROM = 1.4;
const LOCKED_FROM = 50;

const felt = (random: SeededRandom): number => 1 + HAND * (2 * random.next() - 1);

function stiffness(now: Drag, usual: Drag, random: SeededRandom): "free" | "stiff" | "locked" {
  const ratio = (now.breakaway / usual.breakaway) * felt(random);
  if (ratio > LOCKED_FROM) return "locked";
  return ratio > STIFF_FROM ? "stiff" : "free";
}

/** Looking finds a mark that is there, most times. */
const LOOK_FINDS = 0.93;
const marked = ({ machine }: OnTheBench, random: SeededRandom, ...marks: readonly string[]): boolean =>
  marks.some((mark) => machine.seen.has(mark)) && random.next() < LOOK_FINDS;

const OWNERS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    "trips-residual": "residual",
    "trips-at-once": "trips",
    "trips-after": "trips",
    silent: "nothing",
    "hums-still": "hums-still",
    "output-still": "output-still",
    slow: "slow",
  }),
);
/** A quiet hum across a workshop is "nothing". */
const HUM_MISSED = 0.25;

function ownersWord(bench: OnTheBench, random: SeededRandom): string {
  const { machine, lastRun } = bench;
  const word = OWNERS.get(shownAs(bench, lastRun));
  if (word === "hums-still" && random.next() < HUM_MISSED) return "nothing";
  if (word !== undefined) return word;
  if (lastRun.openedAfter < LONG_RUN_SECONDS) return "stops";
  if ((machine.brushed?.sparking ?? 1) > 2.5) return "sparks";
  const { noise } = machine.mechanics;
  if (noise.squeakWarm > LOUD_FROM || noise.squeakCold > LOUD_FROM || noise.scrape > LOUD_FROM)
    return "squeaks";
  return noise.rumble > LOUD_FROM || noise.rattle > LOUD_FROM ? "noisy" : "runs-then-fine";
}

const WORST: ReadonlyMap<string, string> = new Map(
  Object.entries({
    fuse: "fuse",
    breaker: "breaker",
    residual: "residual",
    overload: "own",
  }),
);

const QUESTIONS: Answers = {
  "owner-report": ownersWord,
  "ask-device": (bench) =>
    bench.opened.includes("fuse-open")
      ? "fuse"
      : bench.opened.includes("overload-open")
        ? "own"
        : bench.lastRun.openedAfter < LONG_RUN_SECONDS
          ? (WORST.get(bench.lastRun.opened) ?? "none")
          : "none",
  "ask-sound": ({ machine, firstRun, opened }, random) => {
    if (isStanding(firstRun, machine) && firstRun.voltsAtMotor > 0)
      return opened.length > 0 ? "groan" : "nothing";
    const { noise } = machine.mechanics;
    return (noise.rumble > LOUD_FROM || noise.scrape > LOUD_FROM) && random.next() < 0.7
      ? "grinding"
      : "nothing";
  },
  "ask-smell": (bench, random) =>
    bench.machine.seen.has("burnt") && random.next() < 0.75 ? "burnt" : "nothing",
  "ask-history": (bench, random) =>
    bench.machine.seen.has("damp") && random.next() < 0.5 ? "wet" : "nothing",
};

const LOOKS: Answers = {
  "look-and-smell": (bench, random) => {
    if (marked(bench, random, "burnt")) return "burnt";
    if (marked(bench, random, "capacitor-bulged") && random.next() < 0.6) return "bulged";
    return marked(bench, random, "lead-loose", "lead-brown") && random.next() < 0.4
      ? "loose-lead"
      : "nothing";
  },
  "look-cord": (bench, random) =>
    marked(bench, random, "cord-crushed")
      ? "crushed"
      : marked(bench, random, "cord-damaged")
        ? "damaged"
        : "sound",
  "look-vents": (bench, random) => (marked(bench, random, "vents-blocked") ? "blocked" : "clear"),
  "look-fan": (bench, random) => (marked(bench, random, "fan-loose") ? "loose" : "whole"),
  "look-load": (bench, random) =>
    marked(bench, random, "load-fouled") ? "fouled" : marked(bench, random, "load-loose") ? "loose" : "clear",
  "belt-look": (bench, random) => (marked(bench, random, "belt-off") ? "off" : "good"),
  "look-coupling": (bench, random) => (marked(bench, random, "coupling-torn") ? "torn" : "whole"),
  "look-gears": (bench, random) =>
    marked(bench, random, "gear-chips")
      ? "stripped"
      : marked(bench, random, "grease-hard")
        ? "hard"
        : "whole",
  "look-brushes": (bench, random) =>
    marked(bench, random, "brush-gone")
      ? "gone"
      : marked(bench, random, "brush-stuck")
        ? "stuck"
        : marked(bench, random, "brush-short")
          ? "short"
          : "good",
  "look-commutator": (bench, random) =>
    marked(bench, random, "bars-burnt")
      ? "burnt-bars"
      : marked(bench, random, "commutator-grooved")
        ? "grooved"
        : marked(bench, random, "commutator-dirty")
          ? "dirty"
          : "clean",
  "look-damp": (bench, random) => (marked(bench, random, "damp") ? "damp" : "dry"),
  "look-terminals": (bench, random) =>
    marked(bench, random, "lead-brown", "switch-hot") ? "brown" : "bright",
  "look-rotor": (bench, random) =>
    marked(bench, random, "rub-marks")
      ? "rub-marks"
      : marked(bench, random, "bars-cracked")
        ? "bars"
        : "clean",
  "look-journal": (bench, random) => (marked(bench, random, "journal-varnished") ? "varnished" : "bright"),
  "look-magnets": (bench, random) => (marked(bench, random, "magnet-cracked") ? "cracked" : "whole"),
  "look-capacitor": (bench, random) => (marked(bench, random, "capacitor-bulged") ? "bulged" : "flat"),
  "look-fuse-glass": ({ machine, opened, lastRun }) =>
    !isOpen(machine, "fuse")
      ? "whole"
      : opened.includes("fuse-open") && lastRun.openedAfter < 0.5
        ? "black"
        : "gap",
  "feel-hub": (bench, random) => (marked(bench, random, "hub-slips") ? "slips" : "tight"),
  "belt-tension": (bench, random) => (marked(bench, random, "belt-slack") ? "slack" : "firm"),
  "tug-leads": (bench, random) =>
    marked(bench, random, "lead-loose") || isOpen(bench.machine, "lead") ? "loose" : "tight",
};

const bearingOf = ({ mechanics }: { readonly mechanics: Mechanics }): Drag => mechanics.bearingCold;

const FEELS: Answers = {
  "turn-shaft": ({ machine, sound }, random) =>
    stiffness(
      shaftDrag(machine, { isWarm: false, isLoadOff: false }),
      shaftDrag(sound, { isWarm: false, isLoadOff: machine.mechanics.driveCarries === 0 }),
      random,
    ),
  "turn-shaft-load-off": ({ machine, sound }, random) =>
    stiffness(bearingOf(machine), bearingOf(sound), random),
  "turn-load": ({ machine, sound }, random) =>
    stiffness(machine.mechanics.load, sound.mechanics.load, random),
  "turn-gears": ({ machine, sound }, random) =>
    machine.seen.has("gear-chips")
      ? "slips"
      : stiffness(machine.mechanics.gear, sound.mechanics.gear, random) === "free"
        ? "free"
        : "stiff",
  "feel-rough": ({ machine }, random) =>
    machine.mechanics.noise.rumble * felt(random) > 2.5 ? "rough" : "smooth",
  "feel-play": ({ machine }, random) => (machine.mechanics.play * felt(random) > 100e-6 ? "loose" : "tight"),
  "coast-by-hand": ({ machine, sound }, random) =>
    (bearingOf(machine).dry / bearingOf(sound).dry) * felt(random) > 2 ? "short" : "long",
  "loosen-through-bolts": ({ machine }) => (machine.mechanics.isBellCocked ? "frees" : "same"),
};

const METER = { share: 0.025, counts: 5, resolution: 1e-7 };

/** The capacitor as a pocket meter reads it, against what is printed on it. */
function capacitance(
  now: SimulatedCapacitor | undefined,
  marked_: SimulatedCapacitor | undefined,
  random: SeededRandom,
): string {
  if (!now || !marked_) return "could-not";
  if (now.isShorted) return "shorted";
  const share = meterShows(now.farads, METER, random) / marked_.farads;
  if (share < 0.05) return "open";
  if (share < 0.88) return "below";
  return share < 0.93 ? "edge" : share > 1.25 ? "above" : "inside";
}

const OHMS: Answers = {
  "fuse-ohms": ({ machine }) => (isOpen(machine, "fuse") ? "open" : "whole"),
  "cord-ohms": ({ machine }) =>
    isOpen(machine, "cord") ? "open" : machine.contacts.cord.failsWithChance > 0 ? "unsteady" : "through",
  "cord-flex": ({ machine }, random) =>
    isOpen(machine, "cord") || (machine.seen.has("cord-flexes") && random.next() < 0.95)
      ? "breaks"
      : "steady",
  "earth-ohms": ({ machine }) => (machine.earthOhms > 1 ? "open" : "good"),
  "overload-ohms": ({ machine }) => (isOpen(machine, "overload") ? "open" : "closed"),
  "switch-ohms": ({ machine }) =>
    isOpen(machine, "switch") ? "open" : machine.contacts.switch.ohms > 0.5 ? "unsteady" : "closed",
  "lead-ohms": ({ machine }) => (isOpen(machine, "lead") ? "open" : "through"),
  "thermal-fuse-ohms": ({ machine }) => (isOpen(machine, "thermal") ? "open" : "closed"),
  "protector-ohms": ({ machine }) => (isOpen(machine, "thermal") ? "open-cold" : "closed"),
  "start-capacitance": ({ machine, sound }, random) =>
    capacitance(machine.induction?.start, sound.induction?.start, random),
  "run-capacitance": ({ machine, sound }, random) =>
    capacitance(machine.induction?.run, sound.induction?.run, random),
  "start-loop-ohms": ({ machine }) => {
    const part = machine.induction;
    if (!part) return "could-not";
    return part.isLoopOpen || part.isAuxiliaryOpen || part.startSwitch === "stuck-open" ? "open" : "closed";
  },
  "start-switch-ohms": ({ machine }) => {
    const at = machine.induction?.startSwitch;
    return at === "stuck-open"
      ? "open"
      : at === "stuck-closed"
        ? "stuck"
        : at === "works"
          ? "closed"
          : "could-not";
  },
  "pair-ohms": ({ machine, sound }, random) => {
    const [part, usual] = [machine.induction, sound.induction];
    if (!part || !usual) return "could-not";
    if (part.isMainOpen) return "run-open";
    if (part.isAuxiliaryOpen) return "start-open";
    const ohms = part.circuit.mainOhms * (1 - part.shortedTurns);
    const read = meterShows(ohms, { share: 0.01, counts: 2, resolution: 0.1 }, random);
    return read < 0.87 * usual.circuit.mainOhms ? "low" : "as-should";
  },
  "field-ohms": ({ machine }) => {
    if (!machine.brushed) return "could-not";
    return machine.brushed.isFieldOpen ? "one-open" : machine.seen.has("field-unequal") ? "unequal" : "equal";
  },
  "brush-to-brush": ({ machine }) => {
    const part = machine.brushed;
    if (!part) return "could-not";
    if (part.brushFailsWithChance > 0.6) return "open";
    return part.deadShare > 0 || part.contactOhms > 3 ? "jumps" : "steady";
  },
  "bar-to-bar": ({ machine }) =>
    !machine.brushed
      ? "could-not"
      : machine.brushed.deadShare > 0
        ? "one-open"
        : machine.seen.has("bars-unequal")
          ? "unequal"
          : "equal",
  "suppressor-ohms": ({ machine }) =>
    machine.isSuppressorShorted ? "shorted" : machine.leakOhms.suppressor < 1e6 ? "leaks" : "high",
  insulation: ({ machine }) => (Math.min(...Object.values(machine.leakOhms)) < 1e6 ? "low" : "good"),
  "each-lead-insulation": ({ machine }) =>
    machine.leakOhms.winding < 1e6
      ? "winding-low"
      : Math.min(machine.leakOhms.lead, machine.leakOhms.suppressor) < 1e6
        ? "one-low"
        : "good",
};

const ANSWERS: Answers = { ...QUESTIONS, ...LOOKS, ...FEELS, ...OHMS, ...RUNS };

export function physicalAnswer(bench: OnTheBench, moveId: string): string {
  return ANSWERS[moveId]?.(bench, drawFor(bench, moveId)) ?? "could-not";
}

/** Moves of the knowledge that physics here answers. */
export const isAnswered = (moveId: string): boolean => moveId in ANSWERS;
