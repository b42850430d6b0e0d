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

function applies(effect: Effect, circumstance: Circumstance): boolean {
  return effect.circumstance === "any" || effect.circumstance === circumstance;
}

/** Two faults on one condition: the worse one counts. */
function localConditions(effects: readonly Effect[], knowledge: PathKnowledge): Local {
  const local: Local = {};
  for (const { id, values, kind } of knowledge.conditions) {
    if (kind !== "local") continue;
    const worst = Math.max(0, ...effects.map(({ sets }) => values.indexOf(sets[id] ?? "")));
    local[id] = values[worst] ?? "";
  }
  return local;
}

/** The first open station leaves nothing for what lies behind it. */
function supplyVoltage(local: Local): string {
  const isOpen =
    local["outlet"] === "none" ||
    local["protection-path"] === "open" ||
    local["protector"] === "open" ||
    local["switch-path"] === "open";
  if (isOpen) return "none";
  return local["outlet"] === "low" || local["switch-path"] === "resistive" ? "low" : "full";
}

/** What a hand feels at the shaft: the load counts while it is coupled. */
function shaftFeel(local: Local): string {
  const felt = [local["bearing"], local["drive"] === "open" ? "free" : local["load"]];
  return ["locked", "stiff"].find((one) => felt.includes(one)) ?? "free";
}

function startTorque(local: Local, volts: string): string {
  const isStartDead = local["start-path"] === "open" || local["start-winding"] === "open";
  if (volts === "none" || local["main-winding"] === "open" || isStartDead) return "none";
  const isWeak =
    volts === "low" ||
    local["start-path"] === "weak" ||
    local["main-winding"] === "shorted" ||
    local["start-winding"] === "shorted" ||
    local["rotor"] === "weak";
  return isWeak ? "weak" : "full";
}

function turningOf(local: Local, volts: string, shaft: string, torque: string): string {
  if (volts === "none" || shaft === "locked" || torque === "none") return "still";
  if (torque === "weak" && shaft === "stiff") return "still";
  return torque === "weak" || shaft === "stiff" || local["start-drops-out"] === "no" ? "slow" : "runs";
}

function voiceOf(local: Local, volts: string, turning: string): string {
  const isStartDead = local["start-path"] === "open" || local["start-winding"] === "open";
  if (volts === "none" || (local["main-winding"] === "open" && isStartDead)) return "silent";
  if (turning === "still") return "hum";
  return turning === "slow" || local["bearing-noise"] === "rough" ? "growl" : "normal";
}

function drawOf(local: Local, voice: string, turning: string, shaft: string): string {
  if (voice === "silent") return "none";
  const isHigh =
    turning === "still" ||
    shaft !== "free" ||
    local["main-winding"] === "shorted" ||
    local["start-drops-out"] === "no" ||
    local["start-path"] === "weak";
  return isHigh ? "high" : "normal";
}

/** What follows along the path from supply to load, once each station's own condition is known. */
function derived(local: Local): Local {
  const volts = supplyVoltage(local);
  const shaft = shaftFeel(local);
  const torque = startTorque(local, volts);
  const turning = turningOf(local, volts, shaft, torque);
  const voice = voiceOf(local, volts, turning);
  const canBePushed = volts !== "none" && local["main-winding"] !== "open" && shaft !== "locked";
  const draw = drawOf(local, voice, turning, shaft);
  const isLeaking = volts !== "none" && local["leak-to-frame"] === "hard";
  return {
    "supply-voltage": volts,
    shaft,
    "start-torque": torque,
    turning,
    voice,
    output: turning === "still" || local["drive"] === "open" ? "still" : "moves",
    pushed: canBePushed ? "runs" : "still",
    draw,
    trips: isLeaking ? "at-once" : draw === "high" && turning === "still" ? "seconds" : "no",
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
  const effects = knowledge.effects.filter(
    (effect) => faults.includes(effect.fault) && applies(effect, circumstance),
  );
  const local = localConditions(effects, knowledge);
  return {
    conditions: { ...local, ...derived(local) },
    signs: new Set(effects.flatMap(({ signs }) => signs)),
  };
}
