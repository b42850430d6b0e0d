import type { Archetype } from "../../knowledge/types";

/** Whether a text has these words as words, not as part of longer ones. */
function hasWords(text: string, words: string): boolean {
  return ` ${text.replace(/[^\p{L}\p{N}’'-]+/gu, " ")} `.includes(` ${words} `);
}

/**
 * The kind of machine that a name says, such as "Garage-door opener, old"; undefined where it says none that is known.
 * Of two that it says, "drill" and "cordless drill", the longer.
 */
export function kindByName(machine: string, archetypes: readonly Archetype[]): Archetype | undefined {
  const name = machine.toLowerCase();
  const said = archetypes.flatMap((kind) =>
    [kind.label, ...(kind.names ?? [])]
      .map((one) => one.toLowerCase())
      .filter((one) => hasWords(name, one))
      .map((one) => ({ kind, length: one.length })),
  );
  return said.sort((one, other) => other.length - one.length)[0]?.kind;
}
