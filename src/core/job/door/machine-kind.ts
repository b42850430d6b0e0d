import type { Archetype } from "../../knowledge/types";

/** The kind of machine that a name says, such as "Garage-door opener, old"; undefined where it says none that is known. */
export function kindByName(machine: string, archetypes: readonly Archetype[]): Archetype | undefined {
  const name = machine.toLowerCase();
  return archetypes.find(({ label }) => name.includes(label.toLowerCase()));
}
