import type { NewEntry } from "@/core/job/log/entry";
import { ok, type Result } from "@/core/result";
import { parseWith } from "@/core/validate";
import { type EntryKind, SCHEMAS } from "./schemas";
import type { Upcaster } from "./versions";

export function currentVersion(kind: EntryKind): number {
  return SCHEMAS[kind].versions.length + 1;
}

/** A payload of any earlier version brought to the newest. */
export function upcast(steps: readonly Upcaster[], payload: unknown, fromVersion: number): unknown {
  return steps.slice(fromVersion - 1).reduce((older, step) => step(older), payload);
}

/** A stored kind and payload, brought up to date and checked. */
export function readPayload(kind: EntryKind, payload: unknown, fromVersion: number): Result<NewEntry> {
  const { schema, versions } = SCHEMAS[kind];
  const parsed = parseWith<unknown>(schema, upcast(versions, payload, fromVersion));
  return parsed.ok ? ok({ kind, payload: parsed.value } as NewEntry) : parsed;
}
