import type { NewEntry, Unreadable } from "@/core/job/log/entry";
import { at, fail, ok, type Result } from "@/core/result";
import { parseWith } from "@/core/validate";
import { type EntryKind, isKind, SCHEMAS } from "./schemas";
import type { Upcaster } from "./versions";

export function currentVersion(kind: EntryKind): number {
  return SCHEMAS[kind].versions.length + 1;
}

/** A payload of any earlier version brought to the newest. */
export function upcast(steps: readonly Upcaster[], payload: unknown, fromVersion: number): unknown {
  return steps.slice(fromVersion - 1).reduce((older, step) => step(older), payload);
}

/**
 * An entry as it is about to be kept, if it can be read again: what its own schema refuses is never stored, whoever made
 * it. The wire and the database know no undefined and no -0: they are gone here already.
 */
export function keepable({ kind, payload }: NewEntry): Result<NewEntry> {
  const read = readPayload(kind, JSON.parse(JSON.stringify(payload)), currentVersion(kind));
  return read.ok ? read : fail(...at("payload", read.issues));
}

const SHOWN_LENGTH = 2000;

function unreadable(was: string, payload: unknown, why: string): Unreadable {
  return { kind: "unreadable", payload: { was, raw: JSON.stringify(payload).slice(0, SHOWN_LENGTH), why } };
}

/** A line as it was kept, whatever it holds. It never throws: what nobody can read is handed on as it is. */
export function readLine(kind: string, payload: unknown, fromVersion: number): NewEntry | Unreadable {
  if (!isKind(kind)) return unreadable(kind, payload, "This kind of line is not known here.");
  if (fromVersion > currentVersion(kind))
    return unreadable(kind, payload, `It was written by a later version of this program (${fromVersion}).`);
  try {
    const read = readPayload(kind, payload, fromVersion);
    if (read.ok) return read.value;
    return unreadable(kind, payload, read.issues.map(({ message }) => message).join(" "));
  } catch (error) {
    return unreadable(kind, payload, error instanceof Error ? error.message : String(error));
  }
}

/** A stored kind and payload, brought up to date and checked. */
export function readPayload(kind: EntryKind, payload: unknown, fromVersion: number): Result<NewEntry> {
  const { schema, versions } = SCHEMAS[kind];
  const parsed = parseWith<unknown>(schema, upcast(versions, payload, fromVersion));
  return parsed.ok ? ok({ kind, payload: parsed.value } as NewEntry) : parsed;
}
