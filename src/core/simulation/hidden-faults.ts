import type { SeededRandom } from "../seeded-random";
import {
  type BrushedPart,
  type ContactId,
  dryDrag,
  type InductionPart,
  type Mechanics,
  type SimulatedCapacitor,
  type SimulatedFamily,
  type SimulatedMachine,
} from "./faulty-machine";
import { addDrags, type Drag } from "./friction";

/** A change to a machine, as bad as chance makes it. */
type Change = (machine: SimulatedMachine, random: SeededRandom) => SimulatedMachine;

const between = (random: SeededRandom, low: number, high: number): number =>
  low + random.next() * (high - low);
const OPEN = Number.POSITIVE_INFINITY;

const contact =
  (id: ContactId, low: number, high: number, failsWithChance = 0): Change =>
  (machine, random) => ({
    ...machine,
    contacts: {
      ...machine.contacts,
      [id]: { ohms: low === OPEN ? OPEN : between(random, low, high), failsWithChance },
    },
  });

const seen =
  (...marks: readonly string[]): Change =>
  (machine) => ({ ...machine, seen: new Set([...machine.seen, ...marks]) });

/** A mark that is there in some machines only. */
const seenSometimes =
  (mark: string, share: number): Change =>
  (machine, random) =>
    random.next() < share ? { ...machine, seen: new Set([...machine.seen, mark]) } : machine;

const wound =
  (change: (part: InductionPart, random: SeededRandom) => Partial<InductionPart>): Change =>
  (machine, random) =>
    machine.induction
      ? { ...machine, induction: { ...machine.induction, ...change(machine.induction, random) } }
      : machine;

const brushed =
  (change: (part: BrushedPart, random: SeededRandom) => Partial<BrushedPart>): Change =>
  (machine, random) =>
    machine.brushed
      ? { ...machine, brushed: { ...machine.brushed, ...change(machine.brushed, random) } }
      : machine;

const moving =
  (
    change: (part: Mechanics, random: SeededRandom, machine: SimulatedMachine) => Partial<Mechanics>,
  ): Change =>
  (machine, random) => ({
    ...machine,
    mechanics: { ...machine.mechanics, ...change(machine.mechanics, random, machine) },
  });

const both =
  (...changes: readonly Change[]): Change =>
  (machine, random) =>
    changes.reduce((sum, change) => change(sum, random), machine);

const times = (part: SimulatedCapacitor | undefined, share: number): SimulatedCapacitor | undefined =>
  part && { ...part, farads: part.farads * share };

const short = (part: SimulatedCapacitor | undefined): SimulatedCapacitor | undefined =>
  part && { ...part, isShorted: true };

/** Torque that the motor gives at its rated point, N·m: what a drag is measured by. */
const ratedTorque = ({ mechanics, rated }: SimulatedMachine): number =>
  mechanics.load.dry + mechanics.load.square * rated.speed ** 2;

const addBearing = (part: Mechanics, cold: Drag, warm: Drag): Partial<Mechanics> => ({
  bearingCold: addDrags(part.bearingCold, cold),
  bearingWarm: addDrags(part.bearingWarm, warm),
});

/** Extra drag in the bearings as shares of the rated torque, cold and warm. */
const bearingDrag = (low: number, high: number, warmShare: number): Change =>
  moving((part, random, machine) => {
    const cold = ratedTorque(machine) * between(random, low, high);
    return addBearing(part, dryDrag(cold), dryDrag(cold * warmShare));
  });

const noisy = (change: (random: SeededRandom) => Partial<Mechanics["noise"]>): Change =>
  moving((part, random) => ({ noise: { ...part.noise, ...change(random) } }));

const LOCKED: Drag = dryDrag(1e3);
const LOW_LEAK = { low: 300, high: 8000 };

const SUPPLY: ReadonlyMap<string, Change> = new Map(
  Object.entries<Change>({
    "supply-dead": contact("outlet", OPEN, OPEN),
    "supply-low": (machine, random) => ({
      ...machine,
      supplyOhms:
        machine.supplyOhms + between(random, 0.08, 0.25) * (machine.supplyVolts / machine.rated.amps / 4),
    }),
    "cord-broken": both(contact("cord", OPEN, OPEN), seenSometimes("cord-damaged", 0.4)),
    "cord-strain-relief": both(
      contact("cord", 0.2, 0.6, 0.5),
      seen("cord-flexes"),
      seenSometimes("cord-crushed", 0.6),
    ),
    "earth-lost": (machine) => ({ ...machine, earthOhms: OPEN }),
    "fuse-open": contact("fuse", OPEN, OPEN),
    "breaker-weak": (machine, random) => ({
      ...machine,
      breaker: {
        ...machine.breaker,
        holdsAmps: 16 * between(random, 0.4, 0.6),
        atOnceAmps: 100 * between(random, 0.12, 0.2),
      },
    }),
    "overload-open": contact("overload", OPEN, OPEN),
    "switch-open": contact("switch", OPEN, OPEN),
    "switch-burnt": both(contact("switch", 1.5, 8, 0.2), seen("switch-hot")),
    "loose-connection": both(
      contact("connection", 1, 6, 0.2),
      seen("lead-loose"),
      seenSometimes("lead-brown", 0.6),
    ),
    "lead-off": both(contact("lead", OPEN, OPEN), seenSometimes("lead-loose", 0.6)),
    "lead-chafed": (machine, random) => ({
      ...machine,
      leakOhms: { ...machine.leakOhms, lead: between(random, LOW_LEAK.low, LOW_LEAK.high) },
    }),
    "thermal-fuse-open": contact("thermal", OPEN, OPEN),
    "protector-stuck": contact("thermal", OPEN, OPEN),
    "protector-weak": (machine, random) => ({ ...machine, protectorRise: between(random, 8, 22) }),
  }),
);

const WINDING: ReadonlyMap<string, Change> = new Map(
  Object.entries<Change>({
    "start-capacitor-low": wound((part, random) => ({
      start: times(part.start, between(random, 0.15, 0.8)),
    })),
    "start-capacitor-open": both(
      wound((part) => ({ start: times(part.start, 0.005) })),
      seenSometimes("capacitor-bulged", 0.5),
    ),
    "start-capacitor-shorted": both(
      wound((part) => ({ start: short(part.start) })),
      seenSometimes("capacitor-bulged", 0.6),
    ),
    "run-capacitor-low": wound((part, random) => ({ run: times(part.run, between(random, 0.2, 0.8)) })),
    "run-assist-low": wound((part, random) => ({ run: times(part.run, between(random, 0.1, 0.6)) })),
    "run-capacitor-open": both(
      wound((part) => ({ run: times(part.run, 0.005) })),
      seenSometimes("capacitor-bulged", 0.5),
    ),
    "run-capacitor-shorted": both(
      wound((part) => ({ run: short(part.run) })),
      seenSometimes("capacitor-bulged", 0.6),
    ),
    "capacitor-lead-off": both(
      wound(() => ({ isLoopOpen: true })),
      seenSometimes("lead-loose", 0.6),
    ),
    "start-switch-stuck-open": wound(() => ({ startSwitch: "stuck-open" })),
    "start-switch-stuck-closed": wound(() => ({ startSwitch: "stuck-closed" })),
    "main-winding-open": wound(() => ({ isMainOpen: true })),
    "start-winding-open": wound(() => ({ isAuxiliaryOpen: true })),
    "winding-shorted": both(
      wound((_, random) => ({ shortedTurns: between(random, 0.05, 0.3) })),
      seenSometimes("burnt", 0.75),
    ),
    "rotor-bars-broken": both(
      wound(({ circuit }, random) => ({
        circuit: { ...circuit, rotorOhms: circuit.rotorOhms * between(random, 2, 4) },
      })),
      seen("bars-cracked"),
    ),
    "earth-fault": (machine, random) => ({
      ...machine,
      leakOhms: { ...machine.leakOhms, winding: between(random, LOW_LEAK.low, LOW_LEAK.high) },
    }),
    damp: both(
      (machine, random) => ({
        ...machine,
        leakOhms: { ...machine.leakOhms, winding: between(random, 5e3, 500e3) },
      }),
      seen("damp"),
    ),
  }),
);

const BRUSHES: ReadonlyMap<string, Change> = new Map(
  Object.entries<Change>({
    "field-coil-open": brushed(() => ({ isFieldOpen: true })),
    "field-coil-shorted": both(
      brushed(({ circuit }, random) => {
        const left = between(random, 0.55, 0.75);
        return {
          fluxShare: left,
          sparking: 3,
          circuit: { ...circuit, ohms: circuit.ohms * 0.8, reactance: circuit.reactance * left },
        };
      }),
      seen("field-unequal"),
      seenSometimes("burnt", 0.75),
    ),
    "brushes-worn": both(
      brushed((_, random) => ({
        contactOhms: between(random, 3, 25),
        brushFailsWithChance: 0.25,
        sparking: 3,
      })),
      seen("brush-short"),
    ),
    "brush-gone": both(
      brushed(() => ({ brushFailsWithChance: 1 })),
      seen("brush-gone"),
    ),
    "brush-stuck": both(
      brushed(() => ({ brushFailsWithChance: 0.7, contactOhms: 5, sparking: 2 })),
      seen("brush-stuck"),
    ),
    "commutator-dirty": both(
      brushed((_, random) => ({ contactOhms: between(random, 4, 20), sparking: 3 })),
      seen("commutator-dirty"),
    ),
    "commutator-grooved": both(
      brushed((_, random) => ({ contactOhms: between(random, 3, 12), sparking: 4 })),
      seen("commutator-grooved"),
    ),
    "armature-shorted": both(
      brushed((_, random) => ({ shortedTurns: between(random, 0.05, 0.15), sparking: 8 })),
      seenSometimes("burnt", 0.75),
      seen("bars-unequal"),
    ),
    "armature-open": both(
      brushed((_, random) => ({ deadShare: between(random, 0.1, 0.35), sparking: 6, contactOhms: 2 })),
      seen("bars-burnt"),
    ),
    "suppressor-shorted": (machine) => ({ ...machine, isSuppressorShorted: true }),
    "suppressor-leaks": (machine, random) => ({
      ...machine,
      leakOhms: { ...machine.leakOhms, suppressor: between(random, 4e3, 60e3) },
    }),
    "magnet-loose": both(
      brushed((_, random) => ({ fluxShare: between(random, 0.5, 0.8) })),
      seen("magnet-cracked"),
    ),
  }),
);

const MECHANICAL: ReadonlyMap<string, Change> = new Map(
  Object.entries<Change>({
    "bearing-seized": moving((part) => addBearing(part, LOCKED, LOCKED)),
    "bearing-stiff": bearingDrag(0.25, 1.2, 0.4),
    "bearing-noisy": noisy((random) => ({ rumble: between(random, 3, 8) })),
    "sleeve-dry": both(
      moving((part, random, machine) =>
        addBearing(part, dryDrag(0), dryDrag(ratedTorque(machine) * between(random, 0.1, 0.5))),
      ),
      noisy((random) => ({ squeakWarm: between(random, 2, 6) })),
      seen("journal-varnished"),
    ),
    "bush-worn": both(
      moving((_, random) => ({ play: between(random, 120e-6, 400e-6) })),
      noisy((random) => ({ rumble: between(random, 2, 5) })),
    ),
    "rotor-rub": both(
      bearingDrag(0.1, 0.4, 1.2),
      noisy((random) => ({ scrape: between(random, 2, 6) })),
      seen("rub-marks"),
    ),
    "end-bell-cocked": both(
      bearingDrag(0.3, 1, 0.9),
      moving(() => ({ isBellCocked: true })),
    ),
    "vents-blocked": both(
      (machine, random) => ({ ...machine, air: between(random, 0.12, 0.3) }),
      seen("vents-blocked"),
    ),
    "fan-loose": both(
      (machine, random) => ({ ...machine, air: between(random, 0.15, 0.4) }),
      noisy((random) => ({ rattle: between(random, 2, 5) })),
      seen("fan-loose"),
    ),
    "belt-off": both(
      moving(() => ({ driveCarries: 0 })),
      seen("belt-off"),
    ),
    "belt-slips": both(
      moving((_, random, machine) => ({ driveCarries: ratedTorque(machine) * between(random, 0.2, 0.7) })),
      seen("belt-slack"),
    ),
    "coupling-torn": both(
      moving(() => ({ driveCarries: 0 })),
      seen("coupling-torn"),
    ),
    "hub-loose": both(
      moving(() => ({ driveCarries: 0 })),
      noisy((random) => ({ rattle: between(random, 2, 4) })),
      seen("hub-slips"),
    ),
    "gear-stripped": both(
      moving(() => ({ driveCarries: 0 })),
      seen("gear-chips"),
    ),
    "gear-grease-hard": both(
      moving((part, random, machine) => ({
        gear: addDrags(part.gear, dryDrag(ratedTorque(machine) * between(random, 0.3, 1.1))),
      })),
      seen("grease-hard"),
    ),
    "load-jammed": moving((part) => ({ load: addDrags(part.load, LOCKED) })),
    "load-stiff": moving((part, random, machine) => ({
      load: addDrags(part.load, dryDrag(ratedTorque(machine) * between(random, 0.4, 1.3))),
    })),
    "brake-drags": both(
      moving((part, random, machine) => ({
        load: addDrags(part.load, dryDrag(ratedTorque(machine) * between(random, 0.4, 1.1))),
      })),
      seen("brake-drags"),
    ),
    "impeller-clogged": both(
      moving((part) => ({ load: { ...part.load, square: part.load.square * 0.55 } })),
      seen("load-fouled"),
    ),
    "load-rattles": both(
      noisy((random) => ({ rattle: between(random, 2, 5) })),
      seen("load-loose"),
    ),
    "no-fault-found": (machine) => machine,
  }),
);

const CHANGES: ReadonlyMap<string, Change> = new Map([...SUPPLY, ...WINDING, ...BRUSHES, ...MECHANICAL]);

/** Whether physics here knows how to bring a fault about in a machine of this family. */
export function canSimulate(fault: string, family: SimulatedFamily): boolean {
  const isBrushed = family === "universal" || family === "permanent-magnet-dc";
  if (BRUSHES.has(fault)) return isBrushed;
  if (WINDING.has(fault) && fault !== "earth-fault" && fault !== "damp") return !isBrushed;
  return CHANGES.has(fault);
}

/** The machine with a hidden fault; how bad it is comes from the seed. Throws for a fault that physics does not know. */
export function withHiddenFault(
  machine: SimulatedMachine,
  fault: string,
  random: SeededRandom,
): SimulatedMachine {
  const change = CHANGES.get(fault);
  if (!change) throw new Error(`no physics for the fault "${fault}"`);
  return change(machine, random);
}
