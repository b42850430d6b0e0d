import { type Decision, decide, needsProof } from "@/core/decision/decide";
import { decisionCase } from "@/core/decision/decision-case";
import type { DecisionTrial, Route, RouteId } from "@/core/decision/routes";
import type { Isolation } from "@/core/isolation/isolate";
import { NOT_KNOWN } from "@/core/isolation/machine-model";
import type { Built, InterventionDone, NewEntry, Priced } from "@/core/job/entry";
import { isolationRequest } from "@/core/job/isolation-request";
import type { JobView } from "@/core/job/reduce";
import { signOffWord } from "@/core/job/sign-off";
import type { Repair } from "@/core/knowledge/types";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Ground } from "./ground";
import { isolateOffThread } from "./isolate";

export interface DecisionDraft {
  readonly route: RouteId;
  readonly repair?: string | undefined;
  readonly overrideWhy: string;
}

export interface SignOffDraft {
  readonly minutes: number;
  readonly partsMinor: number;
  readonly watch: string;
}

function noSuchRepair(repair: string, { knowledge }: Ground): Result<never> {
  const known = knowledge.repairs.map(({ id }) => id).join(", ");
  return fail(
    issue("payload.repair", "unknown/repair", `There is no repair "${repair}": known are ${known}.`, repair),
  );
}

export interface InterventionDraft {
  readonly repair: string;
  /** What was plainly seen and mended: the look counts as its direct proof. */
  readonly seen?: string | undefined;
}

function lookOf({ repair, seen }: InterventionDraft, ground: Ground): Result<InterventionDone["seen"]> {
  if (seen === undefined) return ok(null);
  const row = ground.knowledge.seen.find((one) => one.id === seen && one.repair === repair);
  if (row) return ok({ moveId: row.moveId, outcomeId: row.outcomeId });
  const known = ground.knowledge.seen.filter((one) => one.repair === repair).map(({ id }) => id);
  return fail(
    issue(
      "payload.seen",
      "unknown/seen",
      `"${seen}" is nothing that "${repair}" mends: known are ${known.join(", ") || "none"}.`,
      seen,
    ),
  );
}

/** A repair that was done: the knowledge says what it cures and how surely. */
export function completeIntervention(
  draft: InterventionDraft,
  view: JobView,
  ground: Ground,
): Result<NewEntry> {
  const { repair } = draft;
  const row = ground.knowledge.repairs.find(({ id }) => id === repair);
  if (!row) return noSuchRepair(repair, ground);
  const look = lookOf(draft, ground);
  if (!look.ok) return look;
  const family = view.takenIn?.family ?? "";
  const cured = ground.knowledge.faults.filter(
    ({ fix, families }) => fix.repair === repair && (family === NOT_KNOWN || families.includes(family)),
  );
  // One figure for the repair: the least sure of what it may have cured.
  const success = Math.min(1, ...cured.map(({ fix }) => fix.success));
  return ok({
    kind: "intervention",
    payload: { label: row.done, faultIds: cured.map(({ id }) => id), success, seen: look.value },
  });
}

/** A path is put together from stations that exist. */
export function completeBuilt(draft: Built, ground: Ground): Result<NewEntry> {
  const known = new Set(ground.knowledge.stations.map(({ id }) => id));
  const unknown = draft.stations.find((id) => !known.has(id));
  if (unknown === undefined) return ok({ kind: "built", payload: draft });
  return fail(
    issue(
      "payload.stations",
      "unknown/station",
      `There is no station "${unknown}": known are ${[...known].join(", ")}.`,
      unknown,
    ),
  );
}

export function completePrice(draft: Priced, ground: Ground): Result<NewEntry> {
  const { of } = draft;
  if (of !== "machine" && !ground.knowledge.repairs.some(({ id }) => id === of))
    return noSuchRepair(of, ground);
  return ok({ kind: "priced", payload: draft });
}

/** The decision for a job as it stands: by the server's own isolation, whatever the screen showed. */
export async function decisionFor(
  view: JobView,
  ground: Ground,
): Promise<Result<{ readonly decision: Decision; readonly isolation: Isolation }>> {
  const { knowledge, parameters } = ground;
  const settings = ground.settings.value;
  const request = isolationRequest(
    view,
    { bench: view.bench, isMadeSafe: false },
    { ...knowledge, parameters, settings, counts: ground.counts },
  );
  const isolation = await isolateOffThread(request, ground);
  if (!isolation.ok) return isolation;
  const { trials, suspects } = isolation.value;
  const kase = decisionCase(trials, view.prices, knowledge, parameters);
  return ok({ decision: decide(kase, suspects[0], knowledge.faults), isolation: isolation.value });
}

function routeLabel(route: Route, first: DecisionTrial | undefined, repairs: readonly Repair[]): string {
  if (route.id === "replace") return "Another machine";
  const ids = first?.repairs ?? [];
  return ids.map((id) => repairs.find((repair) => repair.id === id)?.label ?? id).join(", ");
}

function refusal(repair: string, { refused }: Decision, ground: Ground): Result<never> | undefined {
  const one = refused.find((row) => row.repair === repair);
  if (!one) return undefined;
  const { repairs, faults } = ground.knowledge;
  const label = repairs.find(({ id }) => id === repair)?.label ?? repair;
  const root = faults.find(({ id }) => id === one.root)?.label ?? one.root;
  return fail(
    issue(
      "payload.repair",
      "decide/consequence-only",
      `"${label}" changes only the consequence: ${root.charAt(0).toLowerCase()}${root.slice(1)} would bring it about again. Repair that first.`,
      repair,
    ),
  );
}

/** The first step of the route as asked for: the cheapest, or one that the repairer would rather try first. */
function firstStep(
  draft: DecisionDraft,
  route: Route,
  trials: readonly DecisionTrial[],
): DecisionTrial | undefined {
  if (draft.route !== "part" || draft.repair === undefined) return route.steps[0];
  return trials.find(({ repairs }) => repairs.length === 1 && repairs[0] === draft.repair);
}

export async function completeDecision(
  draft: DecisionDraft,
  view: JobView,
  ground: Ground,
): Promise<Result<NewEntry>> {
  const found = await decisionFor(view, ground);
  if (!found.ok) return found;
  const { decision, isolation } = found.value;
  const refused = draft.repair === undefined ? undefined : refusal(draft.repair, decision, ground);
  if (refused) return refused;
  const route = decision.routes[draft.route];
  const first = firstStep(draft, route, isolation.trials);
  if (draft.route !== "replace" && !first)
    return fail(
      issue(
        "payload.route",
        "decide/nothing-to-try",
        draft.repair === undefined
          ? "No repair is worth trying: choose another motor or another machine."
          : `Nothing speaks for "${draft.repair}" as the cure.`,
        draft.repair ?? draft.route,
      ),
    );
  const machine = decision.routes.replace.mean;
  const share = ground.parameters["unproven-part-share"];
  const isUnproven = !isolation.purchaseGate.open && needsProof(draft.route, first, machine, share);
  if (isUnproven && draft.overrideWhy.trim() === "")
    return fail(
      issue(
        "payload.overrideWhy",
        "decide/no-proof",
        "Nothing has proved the leading suspect directly yet: measure it first, or say why it is bought without proof.",
      ),
    );
  const against = decision.best.id === route.id ? decision.next : decision.best;
  return ok({
    kind: "decision",
    payload: {
      route: route.id,
      repairs: first?.repairs ?? [],
      label: routeLabel(route, first, ground.knowledge.repairs),
      mean: route.mean,
      wrong: first ? 1 - first.cures : 0,
      against: { route: against.id, mean: against.mean },
      overrideWhy: isUnproven ? draft.overrideWhy : "",
    },
  });
}

/** The sheet's word is what the log allows at this moment; the bill is worked out at the rate of the shop. */
export function completeSignOff(draft: SignOffDraft, view: JobView, ground: Ground): Result<NewEntry> {
  const { word, unproven } = signOffWord(view, ground.knowledge);
  const labourMinor = Math.round((draft.minutes / 60) * ground.settings.value.labourRateMinor);
  return ok({ kind: "signed-off", payload: { ...draft, word, unproven, labourMinor } });
}
