import type { Circumstance } from "../knowledge/circumstances";
import {
  type Derived,
  LOCAL_CONDITIONS,
  LOCAL_IDS,
  type Local,
  type LocalCondition,
} from "../knowledge/conditions";
import { modeKey } from "../knowledge/modes";
import type { Effect, Fault } from "../knowledge/types";

/** What a set of faults makes of the machine: one value a condition, and the signs at the parts themselves. */
export interface MachineState {
  /** What no fault touched is inherited from the sound machine. */
  readonly conditions: Readonly<Local & Derived>;
  readonly signs: ReadonlySet<string>;
}

/** The part of the knowledge that composes faults into conditions. */
export interface PathKnowledge {
  readonly faults: readonly Pick<Fault, "id" | "does" | "modes">[];
  /** Conditions of the kind of motor itself, sound or not. */
  readonly base?: Readonly<Record<string, string>> | undefined;
}

/** Every station's own condition at its best. */
const GOOD = Object.fromEntries(LOCAL_IDS.map((id) => [id, LOCAL_CONDITIONS[id][0]])) as Local;

const RANKS: ReadonlyMap<string, readonly string[]> = new Map(Object.entries(LOCAL_CONDITIONS));

/** What each fault does, looked up once a state of the knowledge. */
const laidOut = new WeakMap<PathKnowledge, ReadonlyMap<string, readonly Effect[]>>();

function effectsIn(knowledge: PathKnowledge): ReadonlyMap<string, readonly Effect[]> {
  const known = laidOut.get(knowledge);
  if (known) return known;
  const made = new Map<string, readonly Effect[]>();
  for (const { id, does, modes } of knowledge.faults) {
    // By its own id a fault shows as it usually does.
    made.set(id, [...does, ...(modes[0]?.does ?? [])]);
    for (const mode of modes) made.set(modeKey(id, mode.id), [...does, ...mode.does]);
  }
  laidOut.set(knowledge, made);
  return made;
}

const soundMachines = new WeakMap<PathKnowledge, Local>();

function soundOf(knowledge: PathKnowledge): Local {
  const known = soundMachines.get(knowledge) ?? { ...GOOD, ...knowledge.base };
  soundMachines.set(knowledge, known);
  return known;
}

/** Two faults on one condition: the worse one counts. */
function worsen(local: Record<string, string>, { sets }: Effect): void {
  for (const [id, value] of Object.entries(sets)) {
    const ranks = RANKS.get(id) ?? [];
    if (ranks.indexOf(value) > Math.max(0, ranks.indexOf(local[id] ?? ""))) local[id] = value;
  }
}

const isOpen = (local: Local, ...ids: readonly LocalCondition[]): boolean =>
  ids.some((id) => local[id] === "open");

/** Whether the mains reaches the machine's own controls: what clicks, trips and leaks depends on it. */
function isFed(local: Local): boolean {
  return local["outlet"] !== "none" && !isOpen(local, "cord", "protection-path");
}

/** The first open station leaves nothing for what lies behind it. */
function supplyVoltage(local: Local): Derived["supply-voltage"] {
  const isDead =
    !isFed(local) ||
    local["control"] === "dead" ||
    isOpen(local, "interlock", "switch-path", "relay-contact", "connection");
  if (isDead) return "none";
  const isLow =
    local["outlet"] === "low" ||
    local["control"] === "partial" ||
    local["switch-path"] === "resistive" ||
    local["connection"] === "resistive";
  return isLow ? "low" : "full";
}

/** What a hand feels at the shaft: gears and load count while they are coupled. */
function shaftFeel(local: Local): Derived["shaft"] {
  const driven = local["drive"] === "open" ? [] : [local["gear"], local["load"]];
  const felt = [local["bearing"], local["rub"] === "rubs" ? "stiff" : "free", ...driven];
  return (["locked", "stiff"] as const).find((one) => felt.includes(one)) ?? "free";
}

function isStartDead(local: Local): boolean {
  return local["start-path"] === "open" || local["start-winding"] === "open";
}

/** A local condition at one of its values. */
type Spoiled = { [C in LocalCondition]: readonly [condition: C, value: Local[C]] }[LocalCondition];

const WEAKENS: readonly Spoiled[] = [
  ["wiring", "wrong"],
  ["start-path", "weak"],
  ["main-winding", "shorted"],
  ["start-winding", "shorted"],
  ["armature", "shorted"],
  ["armature", "dead-spot"],
  ["field", "shorted"],
  ["brush-contact", "poor"],
  ["sensor", "lost"],
  ["rotor", "weak"],
];

function startTorque(local: Local, volts: Derived["supply-voltage"]): Derived["start-torque"] {
  const isNone =
    volts === "none" ||
    isOpen(local, "motor-circuit", "thermal") ||
    local["main-winding"] === "open" ||
    local["phases"] === "one-lost" ||
    isStartDead(local);
  if (isNone) return "none";
  return volts === "low" || WEAKENS.some(([id, value]) => local[id] === value) ? "weak" : "full";
}

function turningOf(
  local: Local,
  volts: Derived["supply-voltage"],
  shaft: Derived["shaft"],
  torque: Derived["start-torque"],
): Derived["turning"] {
  if (volts === "none" || shaft === "locked" || torque === "none") return "still";
  if (local["stalls"] === "yes" || (torque === "weak" && shaft === "stiff")) return "still";
  return torque === "weak" || local["drags"] === "yes" || local["start-drops-out"] === "no" ? "slow" : "runs";
}

function voiceOf(
  local: Local,
  volts: Derived["supply-voltage"],
  turning: Derived["turning"],
): Derived["voice"] {
  const isCircuitOpen =
    // A thermal device sits inside the motor: its terminals keep their full volts.
    isOpen(local, "motor-circuit", "thermal") || (local["main-winding"] === "open" && isStartDead(local));
  if (volts === "none" || isCircuitOpen) return "silent";
  if (turning === "still") return "hum";
  return turning === "slow" ? "growl" : "normal";
}

const DRAWS_MORE: readonly Spoiled[] = [
  ["wiring", "wrong"],
  ["main-winding", "shorted"],
  ["armature", "shorted"],
  ["field", "shorted"],
  ["start-drops-out", "no"],
  ["start-path", "weak"],
  ["run-boost", "weak"],
];

function drawOf(
  local: Local,
  voice: Derived["voice"],
  turning: Derived["turning"],
  shaft: Derived["shaft"],
): Derived["draw"] {
  if (voice === "silent") return "none";
  // Run winding open: what is left is the start side alone.
  if (local["main-winding"] === "open") return "low";
  if (local["brush-contact"] === "poor" && turning !== "still") return "low";
  if (local["pull"] !== "usual" || DRAWS_MORE.some(([id, value]) => local[id] === value)) return "high";
  if (turning === "still") return local["stalled"] === "modest" ? "normal" : "high";
  return shaft === "free" ? "normal" : "high";
}

/** Noise that only a turning machine makes; the worst is heard. */
function runNoise(local: Local, turning: Derived["turning"]): Derived["run-noise"] {
  if (turning === "still") return "quiet";
  if (local["rub"] === "rubs") return "scrapes";
  if (local["bearing-noise"] === "rough") return "rough";
  if (local["part-noise"] === "rattles") return "rattles";
  return local["bearing-noise"] === "squeaks" ? "squeaks" : "quiet";
}

/** Which device speaks: leakage wherever the mains reaches, shorts and stalls where the motor is fed. */
function tripsOf(
  local: Local,
  volts: Derived["supply-voltage"],
  voice: Derived["voice"],
  turning: Derived["turning"],
  draw: Derived["draw"],
): Derived["trips"] {
  if (local["short"] === "hard" && isFed(local) && !isOpen(local, "switch-path", "interlock"))
    return "at-once";
  if (isFed(local) && local["leak-to-frame"] === "hard") return "residual";
  if (volts === "none" || voice === "silent") return "no";
  if (local["breaker"] === "weak" || local["pull"] === "heavy") return "seconds";
  return draw === "high" && turning === "still" ? "seconds" : "no";
}

function outputOf(local: Local, turning: Derived["turning"]): Derived["output"] {
  if (turning === "still" || local["drive"] === "open") return "still";
  const isWeak =
    turning === "slow" ||
    local["drive"] === "slips" ||
    local["flow"] === "weak" ||
    local["run-boost"] === "weak";
  return isWeak ? "weak" : "moves";
}

/** Pin to pin at the plug: everything in the path of the motor's current, with its switch held on. */
function plugPath(local: Local): Derived["plug-path"] {
  const isBroken =
    isOpen(
      local,
      "cord",
      "protection-path",
      "interlock",
      "switch-path",
      "connection",
      "thermal",
      "motor-circuit",
    ) ||
    (local["main-winding"] === "open" && (local["start-side"] === "capacitor" || isStartDead(local)));
  if (local["short"] === "hard" && !isOpen(local, "cord", "protection-path")) return "shorted";
  if (isBroken) return "open";
  return local["control-path"] === "electronic" ? "doubtful" : "closed";
}

/** What follows along the path from supply to load, once each station's own condition is known. */
function derived(local: Local): Derived {
  const volts = supplyVoltage(local);
  const shaft = shaftFeel(local);
  const torque = startTorque(local, volts);
  const turning = turningOf(local, volts, shaft, torque);
  const voice = voiceOf(local, volts, turning);
  const draw = drawOf(local, voice, turning, shaft);
  const canBePushed =
    volts !== "none" &&
    !isOpen(local, "motor-circuit", "thermal") &&
    local["main-winding"] !== "open" &&
    shaft !== "locked";
  const overheats = turning !== "still" && (local["thermal"] === "cycling" || draw === "high");
  const clicks =
    isFed(local) && local["control"] !== "dead" && !isOpen(local, "coil", "interlock", "switch-path");
  return {
    "supply-voltage": volts,
    shaft,
    "start-torque": torque,
    turning,
    voice,
    "run-noise": runNoise(local, turning),
    output: outputOf(local, turning),
    pushed: canBePushed ? "runs" : "still",
    draw,
    trips: tripsOf(local, volts, voice, turning, draw),
    lasting: overheats ? "stops" : "holds",
    click: clicks ? "yes" : "no",
    "plug-path": plugPath(local),
  };
}

/**
 * The machine as a chain of stations: composes what each fault does at its own station into one value a condition.
 * An open station masks what lies behind it, so an open fuse hides the hum of a bad capacitor circuit.
 * @param faults ids of all faults present, roots and consequences alike, with the mode where one is meant
 */
export function machineState(
  faults: readonly string[],
  circumstance: Circumstance,
  knowledge: PathKnowledge,
): MachineState {
  const effectsOf = effectsIn(knowledge);
  // Thousands of states a model: what no fault touches is looked up in the sound machine, not copied from it.
  const local: Local = Object.create(soundOf(knowledge));
  const signs = new Set<string>();
  for (const fault of faults)
    for (const effect of effectsOf.get(fault) ?? []) {
      if (effect.circumstance !== "any" && effect.circumstance !== circumstance) continue;
      worsen(local, effect);
      for (const sign of effect.signs) signs.add(sign);
    }
  return { conditions: Object.assign(local, derived(local)), signs };
}
