import type { Fault, Mode } from "./types";

/** What a fault shows as, where ways of showing are told apart. */
export function modeKey(fault: string, mode: string): string {
  return `${fault}~${mode}`;
}

/** Keys of all its modes, or its own id where it always shows alike. */
export function keysOf({ id, modes }: Pick<Fault, "id" | "modes">): readonly string[] {
  return modes.length === 0 ? [id] : modes.map((mode) => modeKey(id, mode.id));
}

/** Share of a mode in a family: its own, or what holds for all. */
export function shareOf({ share }: Pick<Mode, "share">, family: string): number {
  return share[family] ?? share["all"] ?? 0;
}
