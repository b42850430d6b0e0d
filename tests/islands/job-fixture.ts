import { createIsolator, type IsolateRequest, type Isolation } from "@/core/isolation/isolate";
import type { Entry, EntryKind, Payloads } from "@/core/job/entry";
import { isolationRequest } from "@/core/job/isolation-request";
import { type JobView, reduceJob } from "@/core/job/reduce";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import type { Shop } from "@/core/shop/shop";
import { KNOWLEDGE, LIMITS } from "../core/shop-ground";

/** What a page would hand its island. */
export const SHOP: Shop = {
  settings: DEFAULT_SETTINGS,
  limits: LIMITS,
  knowledgeVersion: KNOWLEDGE.version,
  families: KNOWLEDGE.families,
  signs: KNOWLEDGE.signs,
  deadChecks: KNOWLEDGE.deadChecks,
  moves: KNOWLEDGE.moves,
  counts: undefined,
  now: "2026-11-25T10:00:00Z",
};

type Line = { [K in EntryKind]: readonly [kind: K, payload: Payloads[K]] }[EntryKind];

/** A wool carder with a log of these lines, numbered from one. */
export function jobOf(family: string, lines: readonly Line[] = []): JobView {
  const takenIn: Line = [
    "taken-in",
    {
      machine: "Wool carder",
      tag: "",
      place: "left bench",
      family,
      protectionClass: "class-1",
      connection: "plug",
      heater: "no",
      ownerId: null,
      ceilingMinor: null,
      history: "",
    },
  ];
  const entries = [takenIn, ...lines].map(
    ([kind, payload], index) =>
      ({
        entryId: `entry-${index}`,
        jobId: 7,
        seq: index + 1,
        kindVersion: 1,
        stage: "isolate",
        shown: null,
        knowledgeVersion: KNOWLEDGE.version,
        settingsVersion: 0,
        at: "2026-11-25T09:00:00Z",
        by: "left bench",
        kind,
        payload,
      }) as Entry,
  );
  return reduceJob(7, entries, { families: KNOWLEDGE.families, limits: LIMITS });
}

export const answer = (moveId: string, outcomeId: string): Line => [
  "answer",
  { moveId, outcomeId, circumstance: "cold", taken: "now" },
];

const isolate = createIsolator(KNOWLEDGE, LIMITS);

/** The same isolation as the page's worker would answer. */
export function isolationOf(job: JobView, options: IsolateRequest["options"] = undefined): Isolation {
  const request = isolationRequest(
    job,
    { bench: job.bench, isMadeSafe: false },
    { ...KNOWLEDGE, limits: LIMITS, settings: DEFAULT_SETTINGS, counts: undefined },
  );
  const found = isolate(options ? { ...request, options } : request);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
}
