import { type Decision, decide } from "@/core/decision/decide";
import { decisionCase } from "@/core/decision/decision-case";
import type { Isolation } from "@/core/isolation/isolate";
import { isolationRequest } from "@/core/job/isolation-request";
import type { JobView } from "@/core/job/reduce";
import { ok, type Result } from "@/core/result";
import type { Ground } from "./ground";
import { isolateOffThread } from "./isolate";

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
  const given = decisionCase(trials, view.prices, knowledge, parameters);
  return ok({ decision: decide(given, suspects[0], knowledge.faults), isolation: isolation.value });
}
