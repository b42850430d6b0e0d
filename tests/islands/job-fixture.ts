import { vi } from "vitest";
import type { Schema } from "yup";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { isolationRequest } from "@/core/job/isolation/isolation-request";
import type { TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { DEFAULT_SETTINGS } from "@/core/shop/settings";
import type { Shop } from "@/core/shop/shop";
import { parseWith } from "@/core/validate";
import { $job } from "@/islands/state/job";
import { entryDraftSchema } from "@/log/entry-draft.input";
import { CARDER, type Line, logOf, viewOf } from "../core/job/entries";
import { KNOWLEDGE, LIMITS, PARAMETERS, TOOL_CARDS } from "../core/shop-context";

/** What a page would hand its island. */
export const SHOP: Shop = {
  settings: { ...DEFAULT_SETTINGS, residualOutlet: "green socket" },
  limits: LIMITS,
  parameters: PARAMETERS,
  access: KNOWLEDGE.access,
  tools: TOOL_CARDS,
  knowledgeVersion: KNOWLEDGE.version,
  families: KNOWLEDGE.families,
  signs: KNOWLEDGE.signs,
  deadChecks: KNOWLEDGE.deadChecks,
  moves: KNOWLEDGE.moves,
  archetypes: KNOWLEDGE.archetypes,
  hazards: KNOWLEDGE.hazards,
  seen: KNOWLEDGE.seen,
  protections: KNOWLEDGE.protections,
  recalls: KNOWLEDGE.recalls,
  counts: undefined,
  hasMeter: false,
  now: "2026-11-25T10:00:00Z",
};

/** A wool carder with a motor of this family and a log of these lines, numbered from one after the first. */
export function jobOf(family: string, lines: readonly Line[] = [], change: Partial<TakenIn> = {}): JobView {
  return viewOf(logOf(["taken-in", { ...CARDER, family, ...change }], ...lines));
}

/** Bodies that the screens post, each answered as if it were kept. */
export function posted(view: JobView): Record<string, unknown>[] {
  const bodies: Record<string, unknown>[] = [];
  $job.set(view);
  vi.stubGlobal("fetch", async (path: string, init?: RequestInit) => {
    if (path.startsWith("/api/jobs?find")) return Response.json({ jobs: [] });
    if (path === "/api/timers") return Response.json({ timers: [] });
    const body: unknown = init?.body === undefined ? undefined : JSON.parse(String(init.body));
    // A screen that leaves a field out would be refused by the shop's computer: here it fails its test.
    if (path.endsWith("/entries")) {
      const fits = parseWith(entryDraftSchema as unknown as Schema, body);
      if (!fits.ok) return Response.json({ issues: fits.issues }, { status: 422 });
    }
    if (body !== undefined) bodies.push(body as Record<string, unknown>);
    return Response.json(view);
  });
  return bodies;
}

/** What was posted of one kind. */
export function payloads(
  bodies: readonly Record<string, unknown>[],
  kind: string,
): Record<string, unknown>[] {
  return bodies
    .filter((body) => body["kind"] === kind)
    .map((body) => body["payload"] as Record<string, unknown>);
}

export const answer = (moveId: string, outcomeId: string): Line => [
  "answer",
  { moveId, outcomeId, circumstance: "cold", taken: "now", why: "" },
];

const isolate = createIsolator(KNOWLEDGE);

/** The same isolation as the page's worker would answer. */
export function isolationOf(job: JobView, options: IsolateRequest["options"] = undefined): Isolation {
  const request = isolationRequest(
    job,
    { bench: job.bench, unsettled: ["plug"], withheld: { guardsOn: ["outlet"], measured: ["outlet"] } },
    { ...KNOWLEDGE, parameters: PARAMETERS, settings: DEFAULT_SETTINGS, counts: undefined },
  );
  const found = isolate(options ? { ...request, options } : request);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
}
