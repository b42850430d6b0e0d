import type { Archetype } from "../../knowledge/types";
import type { TakenIn } from "../log/entry";
import { kindByName } from "./machine-kind";

/** A machine as far as its hazards go. */
interface Named {
  readonly machine: string;
  readonly hazards: readonly string[];
  readonly heater: TakenIn["heater"];
}

const hazardsOf = (
  { machine, hazards, heater }: Named,
  archetypes: readonly Archetype[],
): readonly string[] => [
  ...hazards,
  ...(heater === "yes" ? ["heat"] : []),
  ...(kindByName(machine, archetypes)?.hazards ?? []),
];

/** Hazards that were said or known of a machine and are not any more, by another name or because they were taken back. */
export function hazardsLost(
  before: Named,
  after: Named,
  archetypes: readonly Archetype[],
): readonly string[] {
  const still = new Set(hazardsOf(after, archetypes));
  return [...new Set(hazardsOf(before, archetypes))].filter((id) => !still.has(id));
}
