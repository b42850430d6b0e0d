import type { Isolation } from "@/core/isolation/isolate";
import { decideJob, type JobDecision } from "@/core/job/deciding/decide-job";
import { isolationRequest } from "@/core/job/isolation/isolation-request";
import type { JobView } from "@/core/job/log/view";
import { ok, type Result } from "@/core/result";
import { isolateOffThread } from "./isolate";
import type { ShopContext } from "./shop-context";

/** The decision for a job as it stands: by the server's own isolation, whatever the screen showed. */
export async function decisionFor(
  view: JobView,
  shopContext: ShopContext,
): Promise<Result<{ readonly decision: JobDecision; readonly isolation: Isolation }>> {
  const { knowledge, parameters } = shopContext;
  const settings = shopContext.settings.value;
  const request = isolationRequest(
    view,
    // A decision asks what the fault is, not what may be done this minute.
    { bench: view.bench, unsettled: ["plug"], withheld: { guardsOn: ["outlet"], measured: ["outlet"] } },
    { ...knowledge, parameters, settings, counts: shopContext.counts },
  );
  const isolation = await isolateOffThread(request, shopContext);
  if (!isolation.ok) return isolation;
  const decision = decideJob(view, isolation.value, { ...knowledge, parameters, settings });
  return ok({ decision, isolation: isolation.value });
}
