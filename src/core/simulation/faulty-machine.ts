import type { BrushedCircuit } from "./brushed-motor";
import { QUARTER_HORSEPOWER, SMALL_FAN, THIRD_HORSEPOWER } from "./circuits";
import type { Drag } from "./friction";
import type { InductionCircuit } from "./induction-motor";
import type { Protector, ThermalBody } from "./protector";

export type SimulatedFamily =
  | "capacitor-start"
  | "capacitor-start-run"
  | "permanent-split-capacitor"
  | "split-phase"
  | "universal"
  | "permanent-magnet-dc";

/** Everything the current passes on its way, in order. */
export const CONTACTS = [
  "outlet",
  "cord",
  "fuse",
  "switch",
  "connection",
  "lead",
  "overload",
  "thermal",
] as const;
export type ContactId = (typeof CONTACTS)[number];

/** A contact as it is now: ohms, and the chance that it does not make in a run. */
export interface Contact {
  readonly ohms: number;
  readonly failsWithChance: number;
}

export interface SimulatedCapacitor {
  readonly farads: number;
  readonly seriesOhms: number;
  readonly isShorted: boolean;
}

/** An induction motor with its start circuit. */
export interface InductionPart {
  readonly circuit: InductionCircuit;
  readonly start: SimulatedCapacitor | undefined;
  readonly run: SimulatedCapacitor | undefined;
  /** Where there is a switch that drops the start branch out at three quarters of synchronous speed. */
  readonly startSwitch: "none" | "works" | "stuck-open" | "stuck-closed";
  readonly isLoopOpen: boolean;
  readonly isMainOpen: boolean;
  readonly isAuxiliaryOpen: boolean;
  readonly shortedTurns: number;
}

/** A motor with brushes. */
export interface BrushedPart {
  readonly circuit: BrushedCircuit;
  /** Ohms of brush and commutator together, above what is usual. */
  readonly contactOhms: number;
  readonly brushFailsWithChance: number;
  readonly fluxShare: number;
  readonly shortedTurns: number;
  /** Share of positions in which the rotor does not start. */
  readonly deadShare: number;
  readonly isFieldOpen: boolean;
  /** Light at the brushes, against the usual pinpricks. */
  readonly sparking: number;
}

export interface Mechanics {
  readonly bearingCold: Drag;
  readonly bearingWarm: Drag;
  readonly gear: Drag;
  readonly load: Drag;
  /** Torque that the drive carries, N·m; zero where it is parted. */
  readonly driveCarries: number;
  readonly inertia: number;
  /** How loud, against what is usual: rumble, squeak cold, squeak warm, scrape, rattle. */
  readonly noise: {
    readonly rumble: number;
    readonly squeakCold: number;
    readonly squeakWarm: number;
    readonly scrape: number;
    readonly rattle: number;
  };
  /** Side play at the shaft, m. */
  readonly play: number;
  /** Whether easing the through bolts takes the bearing's extra drag away. */
  readonly isBellCocked: boolean;
}

/** One machine on the bench, as physics has it. Volts, ohms, N·m, K. */
export interface SimulatedMachine {
  readonly family: SimulatedFamily;
  readonly supplyVolts: number;
  readonly supplyOhms: number;
  readonly contacts: Readonly<Record<ContactId, Contact>>;
  readonly induction: InductionPart | undefined;
  readonly brushed: BrushedPart | undefined;
  readonly mechanics: Mechanics;
  readonly fuse: Protector;
  readonly breaker: Protector;
  readonly overload: Protector;
  readonly body: ThermalBody;
  /** How much of its usual air the motor gets. */
  readonly air: number;
  /** Rise at which the self-resetting protector opens, and the one at which the one-shot thermal fuse does, K. */
  readonly protectorRise: number;
  readonly thermalFuseRise: number;
  /** To the frame: the winding, the worst lead, the suppressor. */
  readonly leakOhms: { readonly winding: number; readonly lead: number; readonly suppressor: number };
  readonly earthOhms: number;
  readonly isSuppressorShorted: boolean;
  /** What can be seen when the place is looked at: the eye needs no instrument. */
  readonly seen: ReadonlySet<string>;
  /** Speed it should run at under load, rad/s, and current, A. */
  readonly rated: { readonly speed: number; readonly amps: number };
}

const closed: Contact = { ohms: 0.02, failsWithChance: 0 };

const contacts = (): Record<ContactId, Contact> => ({
  outlet: closed,
  cord: closed,
  fuse: closed,
  switch: closed,
  connection: closed,
  lead: closed,
  overload: closed,
  thermal: closed,
});

const QUIET = { rumble: 1, squeakCold: 0, squeakWarm: 0, scrape: 0, rattle: 0 };

/** Dry friction with a breakaway half as large again. */
export const dryDrag = (dry: number): Drag => ({ breakaway: 1.5 * dry, dry, viscous: 0, square: 0 });

function mechanics(load: Drag, bearing: number, inertia: number): Mechanics {
  return {
    bearingCold: dryDrag(bearing),
    bearingWarm: dryDrag(bearing * 0.8),
    gear: dryDrag(bearing * 0.5),
    load,
    driveCarries: Number.POSITIVE_INFINITY,
    inertia,
    noise: QUIET,
    play: 20e-6,
    isBellCocked: false,
  };
}

type Shared = Pick<
  SimulatedMachine,
  | "supplyOhms"
  | "contacts"
  | "air"
  | "protectorRise"
  | "thermalFuseRise"
  | "leakOhms"
  | "earthOhms"
  | "isSuppressorShorted"
  | "seen"
>;

const shared = (): Shared => ({
  supplyOhms: 0.25,
  contacts: contacts(),
  air: 1,
  protectorRise: 95,
  thermalFuseRise: 130,
  leakOhms: { winding: 200e6, lead: 200e6, suppressor: 200e6 },
  earthOhms: 0.05,
  isSuppressorShorted: false,
  seen: new Set(),
});

/** Fuse, breaker and overload for a motor that draws so much running. */
const protection = (amps: number): Pick<SimulatedMachine, "fuse" | "breaker" | "overload"> => ({
  // A time-lag fuse rides through a start, and for half a minute through a stall.
  fuse: { holdsAmps: Math.max(2, amps * 2.2), tau: 100 },
  breaker: { holdsAmps: 16, tau: 60, atOnceAmps: 100 },
  overload: { holdsAmps: amps * 1.5, tau: 60 },
});

const capacitor = (farads: number, seriesOhms: number): SimulatedCapacitor => ({
  farads,
  seriesOhms,
  isShorted: false,
});

const wound = (circuit: InductionCircuit, part: Partial<InductionPart>): InductionPart => ({
  circuit,
  start: undefined,
  run: undefined,
  startSwitch: "none",
  isLoopOpen: false,
  isMainOpen: false,
  isAuxiliaryOpen: false,
  shortedTurns: 0,
  ...part,
});

/** Fans and pumps: torque with the square of the speed. */
const square = (torque: number, speed: number): Drag => ({
  breakaway: 0.03 * torque,
  dry: 0.03 * torque,
  viscous: 0,
  square: (0.97 * torque) / speed ** 2,
});

/** Machines that have to be pulled round from the first turn. */
const steady = (torque: number): Drag => ({ ...dryDrag(torque * 0.8), viscous: 0, square: 0 });

const unbrushed = { brushed: undefined };
const unwound = { induction: undefined };

const BUILD: Readonly<Record<SimulatedFamily, () => SimulatedMachine>> = {
  "capacitor-start": () => ({
    ...shared(),
    ...protection(4.5),
    ...unbrushed,
    family: "capacitor-start",
    supplyVolts: 115,
    body: { kelvinPerWatt: 0.9, tau: 900 },
    mechanics: mechanics(steady(1.2), 0.05, 4e-3),
    rated: { speed: 183, amps: 4.5 },
    induction: wound(THIRD_HORSEPOWER, { start: capacitor(150e-6, 0.9), startSwitch: "works" }),
  }),
  "capacitor-start-run": () => ({
    ...shared(),
    ...protection(2.7),
    ...unbrushed,
    family: "capacitor-start-run",
    supplyVolts: 115,
    body: { kelvinPerWatt: 0.9, tau: 900 },
    mechanics: mechanics(steady(1.3), 0.05, 4e-3),
    rated: { speed: 184, amps: 2.7 },
    induction: wound(THIRD_HORSEPOWER, {
      start: capacitor(150e-6, 0.9),
      run: capacitor(25e-6, 0.1),
      startSwitch: "works",
    }),
  }),
  "permanent-split-capacitor": () => ({
    ...shared(),
    ...protection(0.9),
    ...unbrushed,
    family: "permanent-split-capacitor",
    supplyVolts: 230,
    supplyOhms: 0.6,
    body: { kelvinPerWatt: 1.1, tau: 700 },
    mechanics: mechanics(square(0.8, 149), 0.012, 1e-3),
    rated: { speed: 149, amps: 0.9 },
    induction: wound(SMALL_FAN, { run: capacitor(5e-6, 1) }),
  }),
  "split-phase": () => ({
    ...shared(),
    ...protection(3.9),
    ...unbrushed,
    family: "split-phase",
    supplyVolts: 120,
    body: { kelvinPerWatt: 1.1, tau: 800 },
    mechanics: mechanics(square(0.95, 181), 0.05, 3e-3),
    rated: { speed: 181, amps: 3.9 },
    induction: wound(QUARTER_HORSEPOWER, { startSwitch: "works" }),
  }),
  universal: () => ({
    ...shared(),
    ...protection(2.5),
    ...unwound,
    family: "universal",
    supplyVolts: 230,
    supplyOhms: 0.6,
    body: { kelvinPerWatt: 0.9, tau: 300 },
    mechanics: mechanics(square(0.28, 1250), 0.015, 1e-4),
    rated: { speed: 1360, amps: 2.5 },
    brushed: {
      circuit: {
        kind: "series-ac",
        ohms: 9,
        reactance: 24,
        brushVolts: 2,
        constant: 0.16,
        saturationAmps: 3,
      },
      contactOhms: 0,
      brushFailsWithChance: 0,
      fluxShare: 1,
      shortedTurns: 0,
      deadShare: 0,
      isFieldOpen: false,
      sparking: 1,
    },
  }),
  "permanent-magnet-dc": () => ({
    ...shared(),
    ...protection(1.15),
    ...unwound,
    family: "permanent-magnet-dc",
    supplyVolts: 90,
    supplyOhms: 0.8,
    body: { kelvinPerWatt: 2.2, tau: 500 },
    mechanics: mechanics(steady(0.4), 0.02, 3e-4),
    rated: { speed: 264, amps: 1.15 },
    brushed: {
      circuit: {
        kind: "magnet-dc",
        ohms: 5,
        reactance: 0,
        brushVolts: 1.5,
        constant: 0.31,
        saturationAmps: 1,
      },
      contactOhms: 0,
      brushFailsWithChance: 0,
      fluxShare: 1,
      shortedTurns: 0,
      deadShare: 0,
      isFieldOpen: false,
      sparking: 1,
    },
  }),
};

export const SIMULATED_FAMILIES = Object.keys(BUILD) as readonly SimulatedFamily[];

/** A machine of a family with nothing wrong. Its figures are made up, of the usual order. */
export function soundMachine(family: SimulatedFamily): SimulatedMachine {
  return BUILD[family]();
}
