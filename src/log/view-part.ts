import type { Entry } from "@/core/job/log/entry";
import { latestBy as latest, type Placed } from "@/core/job/log/lines";
import type { Knowledge } from "@/core/knowledge/types";
import type { EntryKind, Payloads } from "./schemas";

/** A line of a kind, with its place in the log. */
export type Line<K extends EntryKind> = Payloads[K] & Placed;

/** What a part of the view follows from beside the lines of its kind. */
export interface FoldFacts {
  readonly faults: Knowledge["faults"];
}

/** A part of the view: what the standing lines of one kind say together. */
export interface ViewPart<K extends EntryKind, T> {
  /** Where no line of the kind stands. */
  readonly initial: T;
  /** Only lines since the machine came back, where it did. */
  readonly ofThisVisit?: true;
  /** @param lines at least one, in order */
  of(lines: readonly Line<K>[], facts: FoldFacts): T;
}

/** The parts of the view that a kind brings, by name. */
export type ViewParts<K extends EntryKind> = Readonly<Record<string, ViewPart<K, unknown>>>;

/** The last line of the kind; null while there is none. */
export function last<K extends EntryKind>(): ViewPart<K, Line<K> | null> {
  return { initial: null, of: (lines) => lines.at(-1) ?? null };
}

/** Every line of the kind. */
export function list<K extends EntryKind>(): ViewPart<K, readonly Line<K>[]> {
  return { initial: [], of: (lines) => lines };
}

/** The last line for each key, in the order in which the keys came up. */
export function latestBy<K extends EntryKind>(
  key: (line: Line<K>) => string,
): ViewPart<K, readonly Line<K>[]> {
  return { initial: [], of: (lines) => latest(lines, key) };
}

/** A fold of the kind's own. */
export function fold<K extends EntryKind, T>(initial: T, of: ViewPart<K, T>["of"]): ViewPart<K, T> {
  return { initial, of };
}

/** The same over the lines of this visit: all of them, or those since it came back. */
export function ofThisVisit<K extends EntryKind, T>(part: ViewPart<K, T>): ViewPart<K, T> {
  return { ...part, ofThisVisit: true };
}

/** A line with its place beside what it carries. */
export function lineOf({ payload, seq, at, by }: Exclude<Entry, { kind: "unreadable" }>): Line<EntryKind> {
  return { ...payload, seq, at, by };
}
