import type { Fault } from "../knowledge/types";

/** Conditions that can make power trip, smoke, smell or tingle; anything else that is found explains none of it. */
const EXPLAINING: ReadonlyMap<string, readonly string[]> = new Map([
  ["short", ["hard"]],
  ["leak-to-frame", ["some", "hard"]],
  ["earth-bond", ["open"]],
  ["bearing", ["locked"]],
  ["load", ["locked"]],
  ["rub", ["rubs"]],
  ["start-path", ["open", "weak"]],
  ["start-drops-out", ["no"]],
  ["main-winding", ["shorted"]],
  ["start-winding", ["shorted"]],
  ["field", ["shorted"]],
  ["armature", ["shorted"]],
  ["wiring", ["wrong"]],
  ["breaker", ["weak"]],
  ["connection", ["resistive"]],
  ["smell", ["burnt"]],
]);

/** Whether a proved fault is a reason for what power did: a root, and one of those that can do it. */
export function explainsIncident({ does, isConsequence }: Pick<Fault, "does" | "isConsequence">): boolean {
  if (isConsequence) return false;
  return does.some(({ sets }) =>
    Object.entries(sets).some(([condition, value]) => EXPLAINING.get(condition)?.includes(value) ?? false),
  );
}
