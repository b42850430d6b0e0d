// A machine made by physics on the bench: what its owner did to it, and what a repairer sees, feels and reads there.

import { type SeededRandom, seededRandom } from "@/core/seeded-random";
import {
  type ContactId,
  type SimulatedFamily,
  type SimulatedMachine,
  soundMachine,
} from "@/core/simulation/faulty-machine";
import { withHiddenFault } from "@/core/simulation/hidden-faults";
import { AS_IT_STANDS, type RunHow, type RunShown, runMachine } from "@/core/simulation/run-machine";

export interface OnTheBench {
  readonly seed: number;
  readonly sound: SimulatedMachine;
  /** As it left the owner: what opened on the way is open. */
  readonly machine: SimulatedMachine;
  /** The run in which the owner gave up. */
  readonly lastRun: RunShown;
  readonly firstRun: RunShown;
  /** What opened while the owner tried, beside the faults that were there. */
  readonly opened: readonly string[];
}

const TRIES = 3;
/** How long an owner holds the switch on a machine that only hums, s. */
const TRY_SECONDS = [2, 12] as const;
const LONG_RUN_SECONDS = 1800;
/** Share of owners who press an overload's button before they bring the machine. */
const RESETS = 0.3;
const STANDS = 0.02;

/** What does not close again by itself, and where it stands in the path. */
const STAYS_OPEN: Readonly<Partial<Record<RunShown["opened"], ContactId>>> = {
  fuse: "fuse",
  "thermal-fuse": "thermal",
  overload: "overload",
};

const open = (machine: SimulatedMachine, id: ContactId): SimulatedMachine => ({
  ...machine,
  contacts: { ...machine.contacts, [id]: { ohms: Number.POSITIVE_INFINITY, failsWithChance: 0 } },
});

export const isStanding = ({ speed }: RunShown, { rated }: SimulatedMachine): boolean =>
  speed < STANDS * rated.speed;

/** The machine after its owner tried it: what gives way in the time of a try, or of a long run, stays open. */
export function fromItsOwner(family: SimulatedFamily, faults: readonly string[], seed: number): OnTheBench {
  const random = seededRandom(seed);
  const sound = soundMachine(family);
  let machine = faults.reduce((made, fault) => withHiddenFault(made, fault, random), sound);
  const opened: string[] = [];
  const firstRun = runMachine(machine, { ...AS_IT_STANDS, isWarm: random.next() < 0.3 }, random);
  let lastRun = firstRun;
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    lastRun = runMachine(machine, { ...AS_IT_STANDS, isWarm: attempt > 0 }, random);
    const held = TRY_SECONDS[0] + random.next() * (TRY_SECONDS[1] - TRY_SECONDS[0]);
    const lasts = isStanding(lastRun, machine) ? held : LONG_RUN_SECONDS;
    if (lastRun.openedAfter > lasts) continue;
    const contact = STAYS_OPEN[lastRun.opened];
    if (!contact || (contact === "overload" && random.next() < RESETS)) continue;
    machine = open(machine, contact);
    opened.push(contact === "thermal" ? "thermal-fuse-open" : `${contact}-open`);
  }
  return { seed, sound, machine, firstRun, lastRun, opened };
}

/** A draw of its own for each question, so that the order of questions changes nothing. */
export function drawFor({ seed }: OnTheBench, question: string): SeededRandom {
  let mixed = seed >>> 0;
  for (const letter of question) mixed = Math.imul(mixed ^ letter.charCodeAt(0), 0x01000193) >>> 0;
  return seededRandom(mixed);
}

export function tried(bench: OnTheBench, question: string, how: Partial<RunHow> = {}): RunShown {
  return runMachine(bench.machine, { ...AS_IT_STANDS, ...how }, drawFor(bench, question));
}
