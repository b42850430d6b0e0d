import { ok, type Result } from "../result";
import { upcastFinding } from "../tools/upcast-finding";
import { parseWith } from "../validate";
import type { EntryKind, NewEntry } from "./entry";
import { PAYLOADS } from "./entry.input";

/** Turns a payload of version n into one of version n + 1. Pure. */
export type Upcaster = (payload: unknown) => unknown;

/** Adds fields that did not exist yet, each as "nothing was said". */
const withFields =
  (fields: Readonly<Record<string, unknown>>): Upcaster =>
  (payload) =>
    Object.assign({}, payload, fields);

const motorPlateV2: Upcaster = (payload) =>
  typeof payload === "object" && payload !== null && "plate" in payload && payload.plate === "motor"
    ? { ...payload, powerIs: "not-said", typeCode: "" }
    : payload;

/** Readings say how the machine stood, what the number is a ratio to, and which limit row held. */
const readingV2: Upcaster = (payload) => {
  const old: Readonly<Record<string, unknown>> = Object.assign({}, payload);
  if (old["of"] === "dead-check") return { ...old, limitId: null };
  return { ...old, finding: upcastFinding(old["finding"], old["input"]) };
};

/**
 * For each kind the steps from version 1 upwards; a kind without steps is at version 1.
 * Entries on disk are never rewritten: a new shape adds a step here and a stored sample in tests/core/job/samples.
 */
export const UPCASTERS: Readonly<Record<EntryKind, readonly Upcaster[]>> = {
  "taken-in": [
    withFields({
      earlierParts: "",
      hazards: [],
      feeMinor: null,
      feeCounts: true,
      depositMinor: null,
      recall: { looked: "not-looked", where: "" },
      from: null,
    }),
  ],
  nameplate: [motorPlateV2],
  complaint: [],
  "bench-state": [],
  opened: [],
  closed: [],
  answer: [],
  intervention: [withFields({ seen: null })],
  reading: [readingV2],
  "part-chosen": [],
  built: [],
  priced: [],
  decision: [],
  picture: [],
  removed: [withFields({ drive: "", colour: "", terminal: "", torque: "", adhesive: "", pin: null })],
  pinned: [],
  reordered: [],
  refitted: [withFields({ count: null, carried: [] })],
  "acceptance-run": [withFields({ outlet: "not-said" })],
  "signed-off": [],
  "not-done": [],
  "owner-answer": [],
  "timer-started": [],
  "follow-up": [withFields({ about: "look-again", belowCelsius: null, afterHours: null })],
  "followed-up": [],
  reopened: [],
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
