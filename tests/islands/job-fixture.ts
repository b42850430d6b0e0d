import { createIsolator, type IsolateRequest, type Isolation } from "@/core/isolation/isolate";
import { isolationRequest } from "@/core/job/isolation-request";
import type { JobView } from "@/core/job/reduce";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import type { Shop } from "@/core/shop/shop";
import { CARDER, type Line, logOf, viewOf } from "../core/job/entries";
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
  archetypes: KNOWLEDGE.archetypes,
  hazards: KNOWLEDGE.hazards,
  seen: KNOWLEDGE.seen,
  recalls: KNOWLEDGE.recalls,
  counts: undefined,
  now: "2026-11-25T10:00:00Z",
};

/** A wool carder with a motor of this family and a log of these lines, numbered from one after the first. */
export function jobOf(family: string, lines: readonly Line[] = []): JobView {
  return viewOf(logOf(["taken-in", { ...CARDER, family }], ...lines));
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
