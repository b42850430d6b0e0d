import type { Repair } from "../knowledge/types";
import type { Entry, PartChosen } from "./log/entry";
import { struckSeqs } from "./log/lines";

type FromShelf = PartChosen["fromShelf"];

/** What a job has of the shop's shelf, by the part's id there: how many. */
export type HeldFromShelf = ReadonlyMap<string, number>;

/**
 * What a job holds of the shelf: the part that is chosen for each place, and one that was fitted before another was chosen.
 * A strike gives back, a restoration takes again.
 */
export function heldFromShelf(
  entries: readonly Entry[],
  repairs: readonly Pick<Repair, "done" | "forPart">[],
): HeldFromShelf {
  const struck = struckSeqs(entries);
  const held = new Map<string, number>();
  const add = (parts: FromShelf): void => {
    for (const { id, count } of parts) held.set(id, (held.get(id) ?? 0) + count);
  };
  const chosen = new Map<string, FromShelf>();
  for (const entry of entries) {
    if (struck.has(entry.seq)) continue;
    if (entry.kind === "part-chosen") {
      const { forPart, fromShelf } = entry.payload;
      chosen.set(forPart, fromShelf);
    }
    if (entry.kind !== "intervention") continue;
    // It is in the machine now: another one chosen later does not bring it back.
    for (const { done, forPart = "" } of repairs) {
      const fitted = done === entry.payload.label ? chosen.get(forPart) : undefined;
      if (!fitted) continue;
      add(fitted);
      chosen.delete(forPart);
    }
  }
  for (const one of chosen.values()) add(one);
  return held;
}
