import { type Remote, wrap } from "comlink";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { isolationRequest, machineOnBench } from "@/core/job/isolation/isolation-request";
import type { JobView } from "@/core/job/log/view";
import { asksOwner, type Estimate, estimateOf } from "@/core/job/sign-off/estimate";
import { closingMinutes, repairsOn } from "@/core/knowledge/kind-costs";
import type { Knowledge } from "@/core/knowledge/types";
import type { Issue, Result } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import type { IsolationWorker } from "@/workers/isolation.worker";
import type { JobScreen } from "../frame/use-job-screen";
import { request } from "../state/api";
import { $found, foundOf } from "../state/found";

export type IsolationState =
  | { readonly kind: "working" }
  | { readonly kind: "failed"; readonly issues: readonly Issue[] }
  | {
      readonly kind: "ready";
      readonly isolation: Isolation;
      readonly knowledge: Knowledge;
      /** The request that this answers, and whether the second step has been worked out. */
      readonly asked: string;
      readonly isRefined: boolean;
    };

/** What a screen draws: the last answer, and whether it is the last word on the job as it stands now. */
export type ShownIsolation =
  | Exclude<IsolationState, { kind: "ready" }>
  | (Extract<IsolationState, { kind: "ready" }> & { readonly isSettled: boolean });

export function requestOf(
  screen: JobScreen,
  shop: Shop,
  { access, archetypes, stations, faults, repairs, kit }: Knowledge,
) {
  const withheld = { guardsOn: screen.liveGaps("guards-on"), measured: screen.liveGaps("measured") };
  return isolationRequest(
    screen.job,
    { bench: screen.bench, unsettled: screen.gaps("turning-inside"), withheld },
    { ...shop, access, archetypes, stations, faults, repairs, kit },
  );
}

interface Ready {
  readonly worker: Remote<IsolationWorker>;
  readonly knowledge: Knowledge;
}

/** The worker with its knowledge, once a page. */
function useWorker(onFail: (issues: readonly Issue[]) => void): Ready | undefined {
  const [ready, setReady] = useState<Ready | undefined>(undefined);
  const failed = useRef(onFail);
  useEffect(() => {
    const thread = new Worker(new URL("../../workers/isolation.worker.ts", import.meta.url), {
      type: "module",
    });
    const worker = wrap<IsolationWorker>(thread);
    void request("GET /api/knowledge").then(async (answer) => {
      if (!answer.ok) return failed.current(answer.issues);
      await worker.prepare(answer.value);
      setReady({ worker, knowledge: answer.value });
    });
    return () => thread.terminate();
  }, []);
  return ready;
}

/** The price that the owner is to be asked about, where what is likely comes to more than was said. */
function askedOwner(
  job: JobView,
  shop: Shop,
  knowledge: Knowledge,
  { suspects }: Isolation,
): Estimate | undefined {
  const machine = machineOnBench(job, knowledge);
  const repairs = repairsOn(machine, knowledge);
  const { settings, parameters } = shop;
  const estimate = estimateOf(job, {
    suspects,
    faults: knowledge.faults,
    repairs,
    closingMinutes: closingMinutes(machine, knowledge),
    settings,
  });
  return asksOwner(job, estimate, parameters["ask-owner-from"]) ? estimate : undefined;
}

/** Where the fault sits and what to do next, worked out again after each answer, away from the page's own thread. */
export function useIsolation(screen: JobScreen, shop: Shop): ShownIsolation {
  const [state, setState] = useState<IsolationState>({ kind: "working" });
  const ready = useWorker((issues) => setState({ kind: "failed", issues }));
  // The request as text: asked again only when it says something else, not at each tick of the clock.
  const asked = useMemo(
    () => (ready ? JSON.stringify(requestOf(screen, shop, ready.knowledge)) : undefined),
    [ready, screen, shop],
  );
  useEffect(() => {
    if (!ready || asked === undefined) return;
    let isCurrent = true;
    const say = (found: Result<Isolation>, isRefined: boolean): void => {
      if (!isCurrent) return;
      setState(
        found.ok
          ? { kind: "ready", isolation: found.value, knowledge: ready.knowledge, asked, isRefined }
          : { kind: "failed", issues: found.issues },
      );
    };
    const work = async (): Promise<void> => {
      const request: IsolateRequest = JSON.parse(asked);
      // The suspects at once; the next move is named when two steps ahead have been weighed.
      const quick = { ...request.options, lookAhead: 1, maxRoots: 2 } as const;
      say(await ready.worker.isolate({ ...request, options: quick }), false);
      if (isCurrent) say(await ready.worker.isolate(request), true);
    };
    void work();
    return () => {
      isCurrent = false;
    };
  }, [ready, asked]);
  const isSettled = state.kind === "ready" && state.isRefined && state.asked === asked;
  const isolation = isSettled ? state.isolation : undefined;
  useEffect(() => {
    const ask = isolation && ready ? askedOwner(screen.job, shop, ready.knowledge, isolation) : undefined;
    $found.set(isolation ? foundOf(screen.job.jobId, isolation, ask) : undefined);
    return () => $found.set(undefined);
  }, [isolation, screen.job, shop, ready]);
  return state.kind === "ready" ? { ...state, isSettled } : state;
}
