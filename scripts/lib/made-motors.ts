import { type SeededRandom, seededRandom } from "@/core/seeded-random";

/** A motor as it was made, and what a repairer says of it on the bench. */
export interface MadeMotor {
  readonly kind: string;
  readonly input: Readonly<Record<string, unknown>>;
}

interface Build {
  readonly kind: string;
  /** Plate speeds that such motors are sold with. */
  readonly speeds: readonly number[];
  readonly leads: readonly string[];
  readonly capacitor: readonly string[];
  readonly hasBrushes: boolean;
  readonly hasRings: boolean;
  readonly steps: boolean;
  readonly sound: readonly string[];
  readonly rotor: string;
  readonly stator: readonly string[];
  readonly hasSwitch: boolean;
  readonly gauges: string;
  /** Lowest winding, ohms, and the others as multiples of it. */
  readonly ohms: readonly [least: number, most: number];
  readonly others: readonly (readonly number[])[];
}

const AC = [2850, 2800, 1425, 1400, 940, 3450, 1725, 1140];
const FAN = [1300, 1380, 900, 850, 1250, 1075, 1550];
const MADE: readonly Build[] = [
  {
    kind: "capacitor-start",
    speeds: AC,
    leads: ["two", "more", "more", "three"],
    capacitor: ["one-big"],
    hasBrushes: false,
    hasRings: false,
    steps: false,
    sound: ["click"],
    rotor: "cage",
    stator: ["slots"],
    hasSwitch: true,
    gauges: "two",
    ohms: [1, 6],
    others: [[3], [4], [2.5]],
  },
  {
    kind: "capacitor-start-run",
    speeds: AC,
    leads: ["more", "three"],
    capacitor: ["two"],
    hasBrushes: false,
    hasRings: false,
    steps: false,
    sound: ["click", "hum"],
    rotor: "cage",
    stator: ["slots"],
    hasSwitch: true,
    gauges: "two",
    ohms: [1, 5],
    others: [[2.6], [3.4]],
  },
  {
    kind: "permanent-split-capacitor",
    speeds: FAN,
    leads: ["three", "three", "more"],
    capacitor: ["one-flat"],
    hasBrushes: false,
    hasRings: false,
    steps: false,
    sound: ["hum"],
    rotor: "cage",
    stator: ["slots"],
    hasSwitch: false,
    gauges: "one",
    ohms: [20, 120],
    others: [[1], [1.3], [1.7], [1.02]],
  },
  {
    kind: "split-phase",
    speeds: AC,
    leads: ["two", "three", "more", "more"],
    capacitor: ["none"],
    hasBrushes: false,
    hasRings: false,
    steps: false,
    sound: ["click"],
    rotor: "cage",
    stator: ["slots"],
    hasSwitch: true,
    gauges: "two",
    ohms: [1.5, 8],
    others: [[3.5], [5], [2.4]],
  },
  {
    kind: "shaded-pole",
    speeds: [2600, 2500, 1300, 1550, 3000],
    leads: ["two"],
    capacitor: ["none"],
    hasBrushes: false,
    hasRings: true,
    steps: false,
    sound: ["hum"],
    rotor: "cage",
    stator: ["poles"],
    hasSwitch: false,
    gauges: "one",
    ohms: [12, 280],
    others: [[]],
  },
  {
    kind: "universal",
    speeds: [12000, 18000, 9000, 28000],
    leads: ["two", "two", "more"],
    capacitor: ["none", "none", "none", "one-flat"],
    hasBrushes: true,
    hasRings: false,
    steps: false,
    sound: ["whine"],
    rotor: "commutator",
    stator: ["poles"],
    hasSwitch: false,
    gauges: "one",
    ohms: [0.8, 9],
    others: [[]],
  },
  {
    kind: "permanent-magnet-dc",
    speeds: [6000, 12000, 3200, 4500],
    leads: ["two"],
    capacitor: ["none"],
    hasBrushes: true,
    hasRings: false,
    steps: true,
    sound: ["whine", "whine", "hum"],
    rotor: "commutator",
    stator: ["magnets"],
    hasSwitch: false,
    gauges: "one",
    ohms: [0.3, 8],
    others: [[]],
  },
  {
    kind: "electronically-commutated",
    speeds: [4500, 9000, 1500, 2200],
    leads: ["three", "more"],
    capacitor: ["none"],
    hasBrushes: false,
    hasRings: false,
    steps: true,
    sound: ["beeps", "hum"],
    rotor: "magnets",
    stator: ["slots", "slots", "poles"],
    hasSwitch: false,
    gauges: "one",
    ohms: [0.4, 20],
    others: [[1, 1]],
  },
  {
    kind: "synchronous",
    speeds: [375, 250, 500, 5, 2.5, 300],
    leads: ["two", "two", "three"],
    capacitor: ["none", "none", "one-flat"],
    hasBrushes: false,
    hasRings: false,
    steps: true,
    sound: ["hum"],
    rotor: "magnets",
    stator: ["one-coil", "poles"],
    hasSwitch: false,
    gauges: "one",
    ohms: [2200, 14000],
    others: [[]],
  },
  {
    kind: "three-phase",
    speeds: [2850, 1430, 940, 1725],
    leads: ["three", "more"],
    capacitor: ["none"],
    hasBrushes: false,
    hasRings: false,
    steps: false,
    sound: ["hum"],
    rotor: "cage",
    stator: ["slots"],
    hasSwitch: false,
    gauges: "one",
    ohms: [1, 30],
    others: [[1, 1]],
  },
];

const pick = <T>(of: readonly T[], random: SeededRandom): T => {
  const one = of[Math.floor(random.next() * of.length)];
  if (one === undefined) throw new Error("nothing to pick from");
  return one;
};

/** Other words that a repairer may say by mistake. */
const ALL: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries<readonly string[]>({
    entering: ["two", "three", "more"],
    capacitor: ["none", "one-big", "one-flat", "two"],
    brushes: ["seen", "none"],
    rings: ["seen", "none"],
    turn: ["steps", "smooth"],
    heard: ["whine", "click", "hum", "beeps"],
    rotor: ["cage", "commutator", "magnets"],
    stator: ["slots", "poles", "magnets", "one-coil"],
    switch: ["seen", "none"],
    gauges: ["two", "one"],
  }),
);
/** One look in thirty names the wrong thing. */
const WRONG = 1 / 30;

const seen = (is: boolean): string => (is ? "seen" : "none");

function ohmsOf(build: Build, random: SeededRandom): Record<string, string> {
  const [least, most] = build.ohms;
  const low = least * (most / least) ** random.next();
  const [second, third] = pick(build.others, random);
  const read = (factor: number): string => (low * factor * (0.99 + 0.02 * random.next())).toPrecision(3);
  return {
    low: read(1),
    ...(second === undefined ? {} : { high: read(second) }),
    ...(third === undefined ? {} : { third: read(third) }),
  };
}

function motor(build: Build, random: SeededRandom): MadeMotor {
  const hertz = pick([50, 60], random);
  const isOpened = random.next() < 0.6;
  const speed = pick(build.speeds, random);
  const clues = {
    entering: pick(build.leads, random),
    capacitor: pick(build.capacitor, random),
    brushes: seen(build.hasBrushes),
    turn: build.steps ? "steps" : "smooth",
    heard: pick(build.sound, random),
    ...(isOpened
      ? {
          rotor: build.rotor,
          stator: pick(build.stator, random),
          rings: seen(build.hasRings),
          switch: seen(build.hasSwitch),
          gauges: build.gauges,
        }
      : {}),
  };
  // What everybody sees, what one has to look for, what only an owner knows.
  const chance = new Map(
    Object.entries({
      entering: 0.9,
      capacitor: 0.9,
      brushes: 0.8,
      turn: 0.85,
      heard: 0.5,
    }),
  );
  const said = Object.entries(clues)
    .filter(([clue]) => random.next() < (chance.get(clue) ?? 0.85))
    .map(([clue, value]) => [clue, random.next() < WRONG ? pick(ALL.get(clue) ?? [value], random) : value]);
  const hasPlate = random.next() < 0.7;
  return {
    kind: build.kind,
    input: {
      mains: String(hertz),
      ...Object.fromEntries(said),
      ...(hasPlate ? { plate: `230 V ${hertz} Hz ${speed} r/min` } : {}),
      ...(random.next() < 0.75 ? ohmsOf(build, random) : {}),
    },
  };
}

/** So many motors of every kind in turn, the same ones every time. */
export function madeMotors(count: number): MadeMotor[] {
  const random = seededRandom(20_261_129);
  return Array.from({ length: count }, (_, index) => {
    const build = MADE[index % MADE.length];
    if (!build) throw new Error("no kinds of motor");
    return motor(build, random);
  });
}
