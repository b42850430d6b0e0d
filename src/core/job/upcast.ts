import { ok, type Result } from "../result";
import { parseWith } from "../validate";
import type { EntryKind, NewEntry } from "./entry";
import { PAYLOADS } from "./entry.input";

/** Turns a payload of version n into one of version n + 1. Pure. */
export type Upcaster = (payload: unknown) => unknown;

/**
 * For each kind the steps from version 1 upwards; a kind without steps is at version 1.
 * Entries on disk are never rewritten: a new shape adds a step here and a stored sample in tests/core/job/samples.
 */
export const UPCASTERS: Readonly<Record<EntryKind, readonly Upcaster[]>> = {
  "taken-in": [],
  nameplate: [],
  complaint: [],
  "bench-state": [],
  opened: [],
  closed: [],
  answer: [],
  intervention: [],
  reading: [],
  "part-chosen": [],
  built: [],
  priced: [],
  decision: [],
  removed: [],
  refitted: [],
  "acceptance-run": [],
  "signed-off": [],
  "not-done": [],
  "owner-answer": [],
  "timer-started": [],
  "follow-up": [],
  note: [],
  struck: [],
  restored: [],
};

export function currentVersion(kind: EntryKind): number {
  return UPCASTERS[kind].length + 1;
}

/** A payload of any earlier version brought to the newest. */
export function upcast(steps: readonly Upcaster[], payload: unknown, fromVersion: number): unknown {
  return steps.slice(fromVersion - 1).reduce((older, step) => step(older), payload);
}

/** A stored kind and payload, brought up to date and checked. */
export function readPayload(kind: EntryKind, payload: unknown, fromVersion: number): Result<NewEntry> {
  const newest = upcast(UPCASTERS[kind], payload, fromVersion);
  const parsed = parseWith(PAYLOADS[kind], newest);
  return parsed.ok ? ok({ kind, payload: parsed.value } as NewEntry) : parsed;
}
