import type { SeededRandom } from "../seeded-random";
import { type BrushedPoint, brushedPoint } from "./brushed-motor";
import {
  CONTACTS,
  type InductionPart,
  type SimulatedCapacitor,
  type SimulatedMachine,
} from "./faulty-machine";
import { addDrags, type Drag } from "./friction";
import { type InductionPoint, inductionPoint, synchronousSpeed } from "./induction-motor";
import { settledSpeed } from "./operating-point";
import { secondsToOpen, secondsToRise } from "./protector";

/** How a machine is run: what it stands at and what is taken off. */
export interface RunHow {
  readonly isWarm: boolean;
  readonly isPushed: boolean;
  readonly isLoadOff: boolean;
  /** Another circuit: a stiff supply with a strong breaker. */
  readonly isOtherCircuit: boolean;
}

export const AS_IT_STANDS: RunHow = {
  isWarm: false,
  isPushed: false,
  isLoadOff: false,
  isOtherCircuit: false,
};

/** What one run shows to whoever stands by with instruments. */
export interface RunShown {
  readonly voltsAtMotor: number;
  readonly startAmps: number;
  readonly amps: number;
  readonly speed: number;
  /** Speed of what the machine is there to turn, as a share of what it should be. */
  readonly output: number;
  readonly startCircuitAmps: number;
  readonly isStartCircuitIn: boolean;
  readonly copperWatts: number;
  /** What opened first and after how many seconds of this run; infinite where it runs on. */
  readonly opened: "fuse" | "breaker" | "overload" | "residual" | "protector" | "thermal-fuse" | "nothing";
  readonly openedAfter: number;
  /** Volts lost across each contact while it runs. */
  readonly lost: Readonly<Record<string, number>>;
  readonly drag: Drag;
}

/** Leakage at which a residual-current device lets go, A. */
const RESIDUAL_AMPS = 0.02;
/** A push by hand, as a share of the speed the machine runs at. */
const PUSHED_SHARE = 0.12;
/** Above this the contact is as good as open. */
const OPEN_FROM = 1e5;
const OTHER_CIRCUIT_OHMS = 0.15;

/** The drag at the motor's shaft in a run. */
export function shaftDrag(
  machine: SimulatedMachine,
  { isWarm, isLoadOff }: Pick<RunHow, "isWarm" | "isLoadOff">,
): Drag {
  const { mechanics } = machine;
  const bearing = isWarm ? mechanics.bearingWarm : mechanics.bearingCold;
  if (isLoadOff || mechanics.driveCarries === 0) return bearing;
  const behind = addDrags(mechanics.gear, mechanics.load);
  // A slipping drive passes on no more than it carries.
  const breakaway = Math.min(behind.breakaway, mechanics.driveCarries);
  return addDrags(bearing, { ...behind, breakaway, dry: Math.min(behind.dry, mechanics.driveCarries) });
}

function capacitorSeries(part: SimulatedCapacitor, hertz: number): { ohms: number; reactance: number } {
  if (part.isShorted) return { ohms: 0.3, reactance: 0 };
  return { ohms: part.seriesOhms, reactance: -1 / (2 * Math.PI * hertz * part.farads) };
}

/** Two branches side by side. */
function parallel(
  one: { ohms: number; reactance: number },
  other: { ohms: number; reactance: number },
): { ohms: number; reactance: number } {
  const conductance = (z: typeof one): [number, number] => {
    const square = z.ohms ** 2 + z.reactance ** 2;
    return [z.ohms / square, -z.reactance / square];
  };
  const [g1, b1] = conductance(one);
  const [g2, b2] = conductance(other);
  const [g, b] = [g1 + g2, b1 + b2];
  const square = g * g + b * b;
  return { ohms: g / square, reactance: -b / square };
}

/** Whether the switch of the start branch is closed at a speed. */
function isStartIn({ startSwitch, circuit }: InductionPart, speed: number): boolean {
  if (startSwitch === "stuck-open") return false;
  return startSwitch === "stuck-closed" || speed < 0.75 * synchronousSpeed(circuit);
}

/** What stands in series with the auxiliary winding at a speed; nothing where the branch is open. */
function auxiliaryBranch(
  part: InductionPart,
  speed: number,
): { ohms: number; reactance: number } | undefined {
  if (part.isAuxiliaryOpen || part.isLoopOpen) return undefined;
  const { hertz } = part.circuit;
  const run = part.run && capacitorSeries(part.run, hertz);
  if (part.startSwitch === "none") return run;
  const start = part.start ? capacitorSeries(part.start, hertz) : { ohms: 0, reactance: 0 };
  if (!isStartIn(part, speed)) return run;
  return run ? parallel(start, run) : start;
}

interface Electrics {
  at(speed: number): { torque: number; amps: number; start: number; watts: number; terminalVolts: number };
  readonly top: number;
}

function inductionElectrics(part: InductionPart, supplyVolts: number, ohms: number): Electrics {
  const sync = synchronousSpeed(part.circuit);
  const point = (speed: number): InductionPoint =>
    inductionPoint(
      part.circuit,
      {
        supplyVolts,
        supplyOhms: ohms,
        auxiliarySeries: auxiliaryBranch(part, speed),
        isMainOpen: part.isMainOpen,
        shortedTurns: part.shortedTurns,
      },
      1 - speed / sync,
    );
  return {
    // Near synchronous speed an open main leaves the linear model: it is not followed there.
    top: part.isMainOpen ? 0.9 * sync : 0.998 * sync,
    at: (speed) => {
      const { torque, lineAmps, auxiliaryAmps, copperWatts, terminalVolts } = point(speed);
      return { torque, amps: lineAmps, start: auxiliaryAmps, watts: copperWatts, terminalVolts };
    },
  };
}

function brushedElectrics(
  machine: SimulatedMachine,
  supplyVolts: number,
  ohms: number,
  random: SeededRandom,
): Electrics {
  const part = machine.brushed;
  if (!part) throw new Error("no brushed motor in this machine");
  const isOpen = part.isFieldOpen || random.next() < part.brushFailsWithChance;
  const isDead = random.next() < part.deadShare;
  const point = (speed: number): BrushedPoint =>
    brushedPoint(
      part.circuit,
      {
        supplyVolts: isOpen ? 0 : supplyVolts,
        seriesOhms: ohms + part.contactOhms,
        fluxShare: part.fluxShare,
        shortedTurns: part.shortedTurns,
      },
      speed,
    );
  return {
    top: 4 * machine.rated.speed,
    at: (speed) => {
      const { torque, amps, copperWatts, terminalVolts } = point(speed);
      return {
        torque: isDead && speed === 0 ? 0.1 * torque : torque,
        amps,
        start: 0,
        watts: copperWatts,
        terminalVolts: isOpen ? supplyVolts : terminalVolts,
      };
    },
  };
}

interface Path {
  readonly ohms: number;
  readonly byContact: ReadonlyMap<string, number>;
  readonly isOpen: boolean;
}

function pathOf(machine: SimulatedMachine, how: RunHow, random: SeededRandom): Path {
  const byContact = new Map<string, number>();
  let ohms = how.isOtherCircuit ? OTHER_CIRCUIT_OHMS : machine.supplyOhms;
  let isOpen = false;
  for (const id of CONTACTS) {
    const contact = machine.contacts[id];
    const isAvoided = id === "outlet" && how.isOtherCircuit;
    const own = isAvoided
      ? 0.02
      : random.next() < contact.failsWithChance
        ? Number.POSITIVE_INFINITY
        : contact.ohms;
    byContact.set(id, own);
    if (own > OPEN_FROM) isOpen = true;
    else ohms += own;
  }
  return { ohms, byContact, isOpen };
}

type Opened = Pick<RunShown, "opened" | "openedAfter">;

/** What gives way first, and when, at the current and heat of this run. */
function firstToOpen(
  machine: SimulatedMachine,
  how: RunHow,
  amps: number,
  startAmps: number,
  watts: number,
): Opened {
  const leak = Math.min(machine.leakOhms.winding, machine.leakOhms.lead, machine.leakOhms.suppressor);
  if (machine.supplyVolts / leak > RESIDUAL_AMPS) return { opened: "residual", openedAfter: 0.03 };
  const body = { ...machine.body, kelvinPerWatt: machine.body.kelvinPerWatt / machine.air };
  const breaker = how.isOtherCircuit ? { holdsAmps: 16, tau: 60, atOnceAmps: 160 } : machine.breaker;
  const inrush =
    breaker.atOnceAmps !== undefined && startAmps >= breaker.atOnceAmps ? 0.02 : Number.POSITIVE_INFINITY;
  const times: [Opened["opened"], number][] = [
    ["breaker", Math.min(inrush, secondsToOpen(breaker, amps))],
    ["fuse", secondsToOpen(machine.fuse, amps)],
    ["overload", secondsToOpen(machine.overload, amps)],
    ["protector", secondsToRise(body, watts, machine.protectorRise)],
    ["thermal-fuse", secondsToRise(body, watts, machine.thermalFuseRise)],
  ];
  const [first = ["nothing", Number.POSITIVE_INFINITY]] = times.sort(([, one], [, other]) => one - other);
  return Number.isFinite(first[1])
    ? { opened: first[0], openedAfter: first[1] }
    : { opened: "nothing", openedAfter: Number.POSITIVE_INFINITY };
}

const SILENT: Omit<RunShown, "drag"> = {
  voltsAtMotor: 0,
  startAmps: 0,
  amps: 0,
  speed: 0,
  output: 0,
  startCircuitAmps: 0,
  isStartCircuitIn: false,
  copperWatts: 0,
  opened: "nothing",
  openedAfter: Number.POSITIVE_INFINITY,
  lost: {},
};

/** A short across the line behind the fuse: what the supply gives, and what opens on it. */
function shorted(machine: SimulatedMachine, path: Path, how: RunHow): Omit<RunShown, "drag"> {
  const amps = machine.supplyVolts / path.ohms;
  return { ...SILENT, startAmps: amps, amps, ...firstToOpen(machine, how, amps, amps, 0) };
}

/**
 * One run of a machine, steady once it has settled. A contact that fails now and then is drawn for the run.
 * @returns V, A, rad/s, W, s; a machine whose path is open shows nothing at all.
 */
export function runMachine(machine: SimulatedMachine, how: RunHow, random: SeededRandom): RunShown {
  const drag = shaftDrag(machine, how);
  const path = pathOf(machine, how, random);
  const leaks = firstToOpen(machine, how, 0, 0, 0);
  const isFed = !path.isOpen;
  if (!isFed) {
    // Leakage behind an open machine switch still counts where the lead before it leaks: the plug alone feeds it.
    const isLeadFed = (path.byContact.get("cord") ?? 0) < OPEN_FROM && machine.leakOhms.lead < 1e6;
    return { ...SILENT, drag, ...(isLeadFed && leaks.opened === "residual" ? leaks : {}) };
  }
  if (machine.isSuppressorShorted) return { ...shorted(machine, path, how), drag };
  const electrics = machine.induction
    ? inductionElectrics(machine.induction, machine.supplyVolts, path.ohms)
    : brushedElectrics(machine, machine.supplyVolts, path.ohms, random);
  const from = how.isPushed ? PUSHED_SHARE * machine.rated.speed : 0;
  const speed = settledSpeed((w) => electrics.at(w).torque, drag, electrics.top, from);
  const start = electrics.at(0);
  const now = electrics.at(speed);
  const carried = machine.mechanics.driveCarries;
  const wanted = machine.mechanics.load.dry + machine.mechanics.load.square * machine.rated.speed ** 2;
  const passed = carried === 0 || how.isLoadOff ? 0 : Math.min(1, carried / Math.max(wanted, 1e-9));
  return {
    voltsAtMotor: now.terminalVolts,
    startAmps: start.amps,
    amps: now.amps,
    speed,
    output: (speed / machine.rated.speed) * passed,
    startCircuitAmps: now.start,
    isStartCircuitIn: machine.induction ? isStartIn(machine.induction, speed) : false,
    copperWatts: now.watts,
    ...firstToOpen(machine, how, now.amps, start.amps, now.watts),
    lost: Object.fromEntries(CONTACTS.map((id) => [id, now.amps * (path.byContact.get(id) ?? 0)])),
    drag,
  };
}
