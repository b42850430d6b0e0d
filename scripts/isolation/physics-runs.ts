// What a powered move finds on a machine made by physics.

import type { SeededRandom } from "@/core/seeded-random";
import type { ContactId, SimulatedMachine } from "@/core/simulation/faulty-machine";
import { coastDownSeconds, dragTorque } from "@/core/simulation/friction";
import { type RunShown, shaftDrag } from "@/core/simulation/run-machine";
import { isStanding, type OnTheBench, tried } from "./physics-machine";

/** What each move finds; a draw of its own comes with the question. */
export type Answers = Readonly<Record<string, (bench: OnTheBench, random: SeededRandom) => string>>;

export const LOUD_FROM = 2;
export const LONG_RUN_SECONDS = 1800;
const SLOW_UNDER = 0.8;
const WEAK_UNDER = 0.75;
const SOON_SECONDS = 15;
const OPEN_FROM = 1e5;

export const isOpen = ({ contacts }: SimulatedMachine, id: ContactId): boolean =>
  contacts[id].ohms > OPEN_FROM;

/** How a run looks to somebody who stands clear. */
export function shownAs(bench: OnTheBench, run: RunShown): string {
  const { machine } = bench;
  if (run.opened === "residual") return "trips-residual";
  if (run.openedAfter < 0.5) return "trips-at-once";
  if (run.voltsAtMotor === 0 || run.amps < 0.02 * machine.rated.amps) return "silent";
  if (run.openedAfter < SOON_SECONDS && (run.opened === "fuse" || run.opened === "breaker"))
    return "trips-after";
  if (isStanding(run, machine)) return "hums-still";
  if (run.output < 0.05) return "output-still";
  return run.speed < SLOW_UNDER * machine.rated.speed || run.output < WEAK_UNDER ? "slow" : "runs";
}

const runs = (bench: OnTheBench, run: RunShown): boolean =>
  !isStanding(run, bench.machine) && run.voltsAtMotor > 0 && run.openedAfter > SOON_SECONDS;

export const RUNS: Answers = {
  "lamp-on-outlet": ({ machine }) => (isOpen(machine, "outlet") ? "dark" : "lit"),
  "outlet-volts-loaded": ({ machine, sound }) =>
    machine.supplyOhms * machine.rated.amps * 4 > 0.1 * machine.supplyVolts &&
    machine.supplyOhms > sound.supplyOhms
      ? "sags"
      : "holds",
  "other-circuit": (bench) => {
    const [here, there] = [tried(bench, "here"), tried(bench, "other-circuit", { isOtherCircuit: true })];
    if (there.openedAfter < SOON_SECONDS) return "trips";
    return runs(bench, there) && !runs(bench, here) ? "holds" : "same";
  },
  "switch-on": (bench) => shownAs(bench, tried(bench, "switch-on")),
  "plug-in-only": ({ machine }) =>
    machine.leakOhms.lead < machine.supplyVolts / 0.02 && !isOpen(machine, "cord") ? "trips" : "holds",
  "series-lamp": (bench) => {
    const run = tried(bench, "series-lamp");
    if (run.voltsAtMotor === 0 && run.amps === 0) return "dark";
    return runs(bench, run) && run.speed > SLOW_UNDER * bench.machine.rated.speed ? "glows" : "bright";
  },
  "listen-run": (bench) => {
    const run = tried(bench, "listen-run");
    if (!runs(bench, run)) return "cannot";
    const { noise } = bench.machine.mechanics;
    if (bench.machine.induction?.startSwitch === "stuck-closed") return "no-click";
    const loudest = Math.max(noise.scrape, noise.squeakCold, noise.rattle, noise.rumble);
    if (loudest <= LOUD_FROM) return "quiet";
    if (loudest === noise.scrape) return "scrape";
    if (loudest === noise.squeakCold) return "squeak";
    return loudest === noise.rattle ? "rattle" : "rumble";
  },
  "clamp-current": (bench) => {
    const run = tried(bench, "clamp-current");
    const share = run.amps / bench.machine.rated.amps;
    if (share < 0.02) return "none";
    return share < 0.3 ? "low" : share > 1.25 ? "high" : "normal";
  },
  "idle-run": (bench) => {
    const [loaded, idle] = [tried(bench, "here"), tried(bench, "idle-run", { isLoadOff: true })];
    if (!runs(bench, idle)) return "still";
    const wasWeak = !runs(bench, loaded) || loaded.speed < SLOW_UNDER * bench.machine.rated.speed;
    return wasWeak && idle.speed > SLOW_UNDER * bench.machine.rated.speed ? "better" : "same";
  },
  "warm-run": (bench) => {
    const run = tried(bench, "warm-run", { isWarm: true });
    if (!runs(bench, run)) return "cannot";
    if (run.openedAfter < LONG_RUN_SECONDS) return "stops";
    return bench.machine.mechanics.noise.squeakWarm > LOUD_FROM ? "squeaks" : "holds";
  },
  "restart-cooled": (bench) => {
    const run = tried(bench, "warm-run", { isWarm: true });
    if (runs(bench, run) && run.openedAfter >= LONG_RUN_SECONDS) return "ran";
    return runs(bench, run) && run.opened === "protector" ? "restarts" : "dead";
  },
  "coast-down": (bench) => {
    const run = tried(bench, "coast-down");
    if (!runs(bench, run)) return "cannot";
    const time = (machine: SimulatedMachine): number =>
      coastDownSeconds(
        machine.mechanics.inertia,
        shaftDrag(machine, { isWarm: false, isLoadOff: false }),
        run.speed,
      );
    return time(bench.machine) < 0.65 * time(bench.sound) ? "short" : "usual";
  },
  "bearing-temperature": (bench) => {
    const run = tried(bench, "bearing-temperature");
    if (!runs(bench, run)) return "cannot";
    const bearing = dragTorque(bench.machine.mechanics.bearingWarm, run.speed) * run.speed;
    const usual = dragTorque(bench.sound.mechanics.bearingWarm, run.speed) * run.speed;
    if (bearing > 3 * usual) return "bearing";
    return (run.copperWatts * bench.machine.body.kelvinPerWatt) / bench.machine.air > 70 ? "frame" : "even";
  },
  "watch-sparks": (bench) => {
    const run = tried(bench, "watch-sparks");
    if (!runs(bench, run) || !bench.machine.brushed) return "none";
    const { sparking } = bench.machine.brushed;
    return sparking > 6 ? "ring" : sparking > 2.5 ? "heavy" : "pinpricks";
  },
  "leakage-clamp": ({ machine }) =>
    machine.supplyVolts / Math.min(...Object.values(machine.leakOhms)) > 0.75e-3 ? "large" : "small",
  "known-cord": (bench) => {
    const here = tried(bench, "here");
    const { machine } = bench;
    const mended = {
      ...bench,
      machine: { ...machine, contacts: { ...machine.contacts, cord: bench.sound.contacts.cord } },
    };
    return !runs(bench, here) && runs(mended, tried(mended, "known-cord")) ? "runs" : "same";
  },
  "push-start": (bench) => (runs(bench, tried(bench, "push-start", { isPushed: true })) ? "runs" : "still"),
  "volts-at-motor": (bench) => {
    const run = tried(bench, "volts-at-motor");
    if (run.voltsAtMotor === 0) return "none";
    return run.voltsAtMotor < 0.9 * bench.machine.supplyVolts ? "low" : "full";
  },
  "switch-drop": (bench) => {
    const run = tried(bench, "switch-drop");
    if (run.amps < 0.02 * bench.machine.rated.amps) return "none";
    return (run.lost["switch"] ?? 0) > 0.5 ? "high" : "low";
  },
  "lead-drop": (bench) => {
    const run = tried(bench, "lead-drop");
    if (run.amps < 0.02 * bench.machine.rated.amps) return "none";
    return Math.max(run.lost["connection"] ?? 0, run.lost["lead"] ?? 0) > 0.5 ? "high" : "low";
  },
  "start-lead-current": (bench) => {
    const part = bench.machine.induction;
    const run = tried(bench, "start-lead-current");
    if (!part || run.voltsAtMotor === 0) return "cannot";
    if (run.isStartCircuitIn && run.speed > 0) return "stays";
    return part.isLoopOpen || part.isAuxiliaryOpen || part.startSwitch === "stuck-open" ? "none" : "drops";
  },
};
