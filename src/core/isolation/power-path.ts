import type { Condition, Effect } from "../knowledge/types";

export type Circumstance = "cold" | "hot" | "loaded";

/** What a set of faults makes of the machine: one value a condition, and the signs at the parts themselves. */
export interface MachineState {
  readonly conditions: Readonly<Record<string, string>>;
  readonly signs: ReadonlySet<string>;
}

/** The part of the knowledge that composes faults into conditions. */
export interface PathKnowledge {
  readonly conditions: readonly Condition[];
  readonly effects: readonly Effect[];
}

type Local = Record<string, string>;

/** The knowledge laid out for composing: once a state of the knowledge. */
interface Compiled {
  /** Every station's own condition at its best. */
  readonly good: Local;
  readonly rank: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly effectsOf: ReadonlyMap<string, readonly Effect[]>;
}

const compiled = new WeakMap<PathKnowledge, Compiled>();

function compile(knowledge: PathKnowledge): Compiled {
  const known = compiled.get(knowledge);
  if (known) return known;
  const local = knowledge.conditions.filter(({ kind }) => kind === "local");
  const effectsOf = new Map<string, Effect[]>();
  for (const effect of knowledge.effects)
    effectsOf.set(effect.fault, [...(effectsOf.get(effect.fault) ?? []), effect]);
  const made: Compiled = {
    good: Object.fromEntries(local.map(({ id, values }) => [id, values[0] ?? ""])),
    rank: new Map(local.map(({ id, values }) => [id, new Map(values.map((value, rank) => [value, rank]))])),
    effectsOf,
  };
  compiled.set(knowledge, made);
  return made;
}

/** Two faults on one condition: the worse one counts. */
function worsen(local: Local, { sets }: Effect, rank: Compiled["rank"]): void {
  for (const [id, value] of Object.entries(sets)) {
    const ranks = rank.get(id);
    if ((ranks?.get(value) ?? -1) > (ranks?.get(local[id] ?? "") ?? 0)) local[id] = value;
  }
}

const isOpen = (local: Local, ...ids: readonly string[]): boolean => ids.some((id) => local[id] === "open");

/** Whether the mains reaches the machine's own controls: what clicks, trips and leaks depends on it. */
function isFed(local: Local): boolean {
  return local["outlet"] !== "none" && !isOpen(local, "cord", "protection-path");
}

/** The first open station leaves nothing for what lies behind it. */
function supplyVoltage(local: Local): string {
  const isDead =
    !isFed(local) ||
    local["control"] === "dead" ||
    isOpen(local, "interlock", "switch-path", "relay-contact", "connection", "thermal");
  if (isDead) return "none";
  const isLow =
    local["outlet"] === "low" ||
    local["control"] === "partial" ||
    local["switch-path"] === "resistive" ||
    local["connection"] === "resistive";
  return isLow ? "low" : "full";
}

/** What a hand feels at the shaft: gears and load count while they are coupled. */
function shaftFeel(local: Local): string {
  const driven = local["drive"] === "open" ? [] : [local["gear"], local["load"]];
  const felt = [local["bearing"], local["rub"] === "rubs" ? "stiff" : "free", ...driven];
  return ["locked", "stiff"].find((one) => felt.includes(one)) ?? "free";
}

function isStartDead(local: Local): boolean {
  return local["start-path"] === "open" || local["start-winding"] === "open";
}

const WEAKENS: readonly (readonly [condition: string, value: string])[] = [
  ["wiring", "wrong"],
  ["start-path", "weak"],
  ["main-winding", "shorted"],
  ["start-winding", "shorted"],
  ["armature", "shorted"],
  ["armature", "dead-spot"],
  ["field", "shorted"],
  ["brush-contact", "poor"],
  ["magnet", "weak"],
  ["sensor", "lost"],
  ["rotor", "weak"],
];

function startTorque(local: Local, volts: string): string {
  const isNone =
    volts === "none" ||
    local["motor-circuit"] === "open" ||
    local["main-winding"] === "open" ||
    local["phases"] === "one-lost" ||
    isStartDead(local);
  if (isNone) return "none";
  return volts === "low" || WEAKENS.some(([id, value]) => local[id] === value) ? "weak" : "full";
}

function turningOf(local: Local, volts: string, shaft: string, torque: string): string {
  if (volts === "none" || shaft === "locked" || torque === "none") return "still";
  if (torque === "weak" && shaft === "stiff") return "still";
  return torque === "weak" || shaft === "stiff" || local["start-drops-out"] === "no" ? "slow" : "runs";
}

function voiceOf(local: Local, volts: string, turning: string): string {
  const isCircuitOpen =
    local["motor-circuit"] === "open" || (local["main-winding"] === "open" && isStartDead(local));
  if (volts === "none" || isCircuitOpen) return "silent";
  if (turning === "still") return "hum";
  return turning === "slow" ? "growl" : "normal";
}

const DRAWS_MORE: readonly (readonly [condition: string, value: string])[] = [
  ["wiring", "wrong"],
  ["main-winding", "shorted"],
  ["armature", "shorted"],
  ["field", "shorted"],
  ["magnet", "weak"],
  ["start-drops-out", "no"],
  ["start-path", "weak"],
  ["run-boost", "weak"],
];

function drawOf(local: Local, voice: string, turning: string, shaft: string): string {
  if (voice === "silent") return "none";
  if (local["brush-contact"] === "poor" && turning !== "still") return "low";
  const isHigh =
    turning === "still" || shaft !== "free" || DRAWS_MORE.some(([id, value]) => local[id] === value);
  return isHigh ? "high" : "normal";
}

/** Noise that only a turning machine makes; the worst is heard. */
function runNoise(local: Local, turning: string): string {
  if (turning === "still") return "quiet";
  if (local["rub"] === "rubs") return "scrapes";
  if (local["bearing-noise"] === "rough") return "rough";
  if (local["part-noise"] === "rattles") return "rattles";
  return local["bearing-noise"] === "squeaks" ? "squeaks" : "quiet";
}

/** Which device speaks: leakage wherever the mains reaches, shorts and stalls where the motor is fed. */
function tripsOf(local: Local, volts: string, voice: string, turning: string, draw: string): string {
  if (isFed(local) && local["leak-to-frame"] === "hard") return "residual";
  if (local["short"] === "hard" && isFed(local) && !isOpen(local, "switch-path", "interlock"))
    return "at-once";
  if (volts === "none" || voice === "silent") return "no";
  if (local["breaker"] === "weak") return "seconds";
  return draw === "high" && turning === "still" ? "seconds" : "no";
}

function outputOf(local: Local, turning: string): string {
  if (turning === "still" || local["drive"] === "open") return "still";
  const isWeak =
    turning === "slow" ||
    local["drive"] === "slips" ||
    local["flow"] === "weak" ||
    local["run-boost"] === "weak";
  return isWeak ? "weak" : "moves";
}

/** What follows along the path from supply to load, once each station's own condition is known. */
function derived(local: Local): Local {
  const volts = supplyVoltage(local);
  const shaft = shaftFeel(local);
  const torque = startTorque(local, volts);
  const turning = turningOf(local, volts, shaft, torque);
  const voice = voiceOf(local, volts, turning);
  const draw = drawOf(local, voice, turning, shaft);
  const canBePushed =
    volts !== "none" &&
    local["motor-circuit"] !== "open" &&
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
  };
}

/**
 * The machine as a chain of stations: composes what each fault does at its own station into one value a condition.
 * An open station masks what lies behind it, so an open fuse hides the hum of a bad capacitor circuit.
 * @param faults ids of all faults present, roots and consequences alike
 */
export function machineState(
  faults: readonly string[],
  circumstance: Circumstance,
  knowledge: PathKnowledge,
): MachineState {
  const { good, rank, effectsOf } = compile(knowledge);
  const local = { ...good };
  const signs = new Set<string>();
  for (const fault of faults)
    for (const effect of effectsOf.get(fault) ?? []) {
      if (effect.circumstance !== "any" && effect.circumstance !== circumstance) continue;
      worsen(local, effect, rank);
      for (const sign of effect.signs) signs.add(sign);
    }
  return { conditions: Object.assign(local, derived(local)), signs };
}
