import type { Entry, EntryKind } from "./entry";

/** Where and by whom a line was written. */
export interface Placed {
  readonly seq: number;
  readonly at: string;
  readonly by: string;
}

export type OfKind<K extends EntryKind> = Extract<Entry, { kind: K }>;

export function placed({ seq, at, by }: Entry): Placed {
  return { seq, at, by };
}

export function ofKind<K extends EntryKind>(entries: readonly Entry[], kind: K): OfKind<K>[] {
  return entries.filter((entry): entry is OfKind<K> => entry.kind === kind);
}

export function lastOf<K extends EntryKind>(entries: readonly Entry[], kind: K): OfKind<K> | undefined {
  return ofKind(entries, kind).at(-1);
}

/** The last of each, by a key. */
export function latestBy<T>(rows: readonly T[], key: (row: T) => string): T[] {
  return [...new Map(rows.map((row) => [key(row), row])).values()];
}

/** The strike of each line that is struck out after all strikes and restorations, by the line's sequence number. */
export function strikesOf(entries: readonly Entry[]): ReadonlyMap<number, Entry> {
  const strikes = new Map<number, Entry>();
  for (const entry of entries) {
    if (entry.kind === "struck") strikes.set(entry.payload.seq, entry);
    else if (entry.kind === "restored") strikes.delete(entry.payload.seq);
  }
  return strikes;
}

/** Sequence numbers that are struck out after all strikes and restorations. */
export function struckSeqs(entries: readonly Entry[]): ReadonlySet<number> {
  return new Set(strikesOf(entries).keys());
}
