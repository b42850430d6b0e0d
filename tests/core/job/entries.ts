import { EMPTY_DOOR_FACTS } from "@/core/job/log/empty-facts";
import type { AcceptanceRun, Entry, EntryKind, Payloads } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { currentVersion } from "@/log/read-payload";
import { reduceJob } from "@/log/reduce";
import { KNOWLEDGE, LIMITS } from "../shop-context";

export const T0 = Date.parse("2026-11-25T09:00:00Z");

export type Line = { [K in EntryKind]: readonly [K, Payloads[K], string?] }[EntryKind];

/** A log from kinds and payloads, a minute apart. */
export function logOf(...lines: readonly Line[]): Entry[] {
  return lines.map(
    ([kind, payload, by], index) =>
      ({
        entryId: `00000000-0000-4000-8000-${String(index).padStart(12, "0")}`,
        jobId: 118,
        seq: index + 1,
        kindVersion: currentVersion(kind),
        stage: "take-in",
        shown: null,
        knowledgeVersion: KNOWLEDGE.version,
        settingsVersion: 0,
        at: new Date(T0 + index * 60_000).toISOString(),
        by: by ?? "left bench",
        kind,
        payload,
      }) as Entry,
  );
}

export function viewOf(entries: readonly Entry[], limits = LIMITS): JobView {
  return reduceJob(118, entries, { ...KNOWLEDGE, limits });
}

export const CARDER: Payloads["taken-in"] = {
  machine: "Wool carder",
  tag: "",
  place: "left bench",
  family: "capacitor-start",
  protectionClass: "class-1",
  connection: "plug",
  heater: "no",
  ownerId: null,
  ceilingMinor: 8000,
  history: "",
  carried: [],
  ...EMPTY_DOOR_FACTS,
};
export const OUT: Payloads["bench-state"] = { event: "unplugged", evidence: "plug-in-sight" };
export const DRAINED: Payloads["bench-state"] = {
  event: "stored-volts",
  id: "start",
  volts: 0.3,
  dielectric: "film",
};

/** A dead check's answer as the log keeps it. */
export const check = (
  checkId: string,
  verdict: "passed" | "failed" | "undecided" = "passed",
): Payloads["reading"] => ({
  of: "dead-check",
  checkId,
  entered: "x",
  reading: null,
  taken: "now",
  verdict,
  limit: null,
  limitId: null,
  limitSource: null,
});

/** A repair that was done, of no fault that is named, unless it says otherwise. */
export const mended = (change: Partial<Payloads["intervention"]> = {}): Line => [
  "intervention",
  {
    repair: "",
    label: "Capacitor fitted",
    faultIds: [],
    success: 0.9,
    seen: null,
    part: "none",
    taken: "afterwards",
    ...change,
  },
];

/** A run that was clean, made now with its grant, unless it says otherwise. */
export const ran = (change: Partial<AcceptanceRun> = {}): Line => [
  "acceptance-run",
  {
    circumstance: "idle",
    minutes: 5,
    result: "gone",
    words: "",
    figures: [],
    turns: "not-said",
    outlet: "residual-current",
    taken: "now",
    ...change,
  },
];
