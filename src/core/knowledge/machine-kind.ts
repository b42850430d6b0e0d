import type { Knowledge } from "./types";

/** A machine as far as its model depends on it. */
export interface MachineKind {
  readonly family: string;
  readonly archetype?: string | undefined;
  readonly stations?: readonly { readonly id: string; readonly present: boolean }[] | undefined;
  /** Faults of parts that it does not have. */
  readonly without?: readonly string[] | undefined;
}

/** The family of a motor whose kind nobody has settled. */
export const NOT_KNOWN = "not-known";

/**
 * Stations of a machine: those of its family, with what its archetype adds and lacks, and what the request says of it.
 * A station named by the request decides over both. While the family is not known they are those of all families.
 */
export function stationsOf(
  { family, archetype, stations }: MachineKind,
  knowledge: Pick<Knowledge, "families" | "archetypes">,
): ReadonlySet<string> {
  const usual =
    family === NOT_KNOWN
      ? knowledge.families.flatMap((one) => one.stations)
      : (knowledge.families.find(({ id }) => id === family)?.stations ?? []);
  const kind = knowledge.archetypes.find(({ id }) => id === archetype);
  const present = new Set([...usual, ...(kind?.adds ?? [])]);
  for (const id of kind?.lacks ?? []) present.delete(id);
  for (const { id, present: isThere } of stations ?? [])
    if (isThere) present.add(id);
    else present.delete(id);
  return present;
}
