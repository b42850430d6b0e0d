import { useEffect, useMemo, useRef, useState } from "react";
import type { Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { isolationRequest, machineOnBench } from "@/core/job/isolation/isolation-request";
import type { JobView } from "@/core/job/log/view";
import { asksOwner, type Estimate, estimateOf } from "@/core/job/sign-off/estimate";
import { closingMinutes, repairsOn } from "@/core/knowledge/kind-costs";
import type { Knowledge } from "@/core/knowledge/types";
import { type Issue, ok, type Result } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import type { JobScreen } from "../frame/use-job-screen";
import { $found, foundOf } from "../state/found";
import { type Engine, engineOfTab } from "./engine";

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

/** The tab's engine, once it is there. */
function useEngine(onFail: (issues: readonly Issue[]) => void): Engine | undefined {
  const [engine, setEngine] = useState<Engine | undefined>(undefined);
  const failed = useRef(onFail);
  useEffect(() => {
    let isCurrent = true;
    void engineOfTab().then((made) => {
      if (!isCurrent) return;
      if (made.ok) setEngine(made.value);
      else failed.current(made.issues);
    });
    return () => {
      isCurrent = false;
    };
  }, []);
  return engine;
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
  const engine = useEngine((issues) => setState({ kind: "failed", issues }));
  // The request as text: asked again only when it says something else, not at each tick of the clock.
  const asked = useMemo(
    () => (engine ? JSON.stringify(requestOf(screen, shop, engine.knowledge)) : undefined),
    [engine, screen, shop],
  );
  useEffect(() => {
    if (!engine || asked === undefined) return;
    let isCurrent = true;
    const { answers, knowledge } = engine;
    const say = (found: Result<Isolation>, isRefined: boolean): void => {
      if (!isCurrent) return;
      setState(
        found.ok
          ? { kind: "ready", isolation: found.value, knowledge, asked, isRefined }
          : { kind: "failed", issues: found.issues },
      );
    };
    const work = async (): Promise<void> => {
      const known = await answers.find(asked);
      if (known) return say(ok(known), true);
      const request: IsolateRequest = JSON.parse(asked);
      // The suspects at once; the next move is named when two steps ahead have been weighed.
      const quick = { ...request.options, lookAhead: 1, maxRoots: 2 } as const;
      if (isCurrent) say(await engine.isolate({ ...request, options: quick }), false);
      if (!isCurrent) return;
      const whole = await engine.isolate(request);
      if (whole.ok) answers.keep(asked, whole.value);
      say(whole, true);
    };
    void work();
    return () => {
      isCurrent = false;
    };
  }, [engine, asked]);
  const isSettled = state.kind === "ready" && state.isRefined && state.asked === asked;
  const isolation = isSettled ? state.isolation : undefined;
  useEffect(() => {
    const ask = isolation && engine ? askedOwner(screen.job, shop, engine.knowledge, isolation) : undefined;
    $found.set(isolation ? foundOf(screen.job.jobId, isolation, ask) : undefined);
    return () => $found.set(undefined);
  }, [isolation, screen.job, shop, engine]);
  return state.kind === "ready" ? { ...state, isSettled } : state;
}
