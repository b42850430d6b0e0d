import { type Remote, wrap } from "comlink";
import { useEffect, useMemo, useRef, useState } from "react";
import type { IsolateRequest, Isolation } from "@/core/isolation/isolate";
import { owedChecks } from "@/core/job/next-step";
import type { Access, Knowledge } from "@/core/knowledge/types";
import type { Issue } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import type { IsolationWorker } from "@/workers/isolation.worker";
import type { JobScreen } from "../frame/use-job-screen";
import { request } from "../state/api";

export type IsolationState =
  | { readonly kind: "working" }
  | { readonly kind: "failed"; readonly issues: readonly Issue[] }
  | { readonly kind: "ready"; readonly isolation: Isolation; readonly knowledge: Knowledge };

/** What stands open, as the access that moves ask for: by the first word of its name. */
function openedAccess(opened: readonly string[], access: readonly Access[]): string[] {
  return access
    .filter(({ label }) =>
      opened.some((one) => one.toLowerCase().includes(label.split(" ")[0]?.toLowerCase() ?? label)),
    )
    .map(({ id }) => id);
}

/** Signs in the order in which they say most: a machine that hums says more than one that stands. */
const TELLING_FIRST = ["output-still", "trips", "slow", "hums-still", "noisy", "nothing"];

/** The complaint as the owner's answer, unless the question was asked again since. */
function ownersReport({ job }: JobScreen, shop: Shop): IsolateRequest["evidence"] {
  const told = shop.signs
    .filter(({ id }) => job.complaint?.signs.includes(id))
    .flatMap(({ tells }) => tells ?? []);
  const outcomeId = TELLING_FIRST.find((one) => told.includes(one));
  if (
    !job.complaint ||
    outcomeId === undefined ||
    job.answers.some(({ moveId }) => moveId === "owner-report")
  )
    return [];
  return [{ seq: job.complaint.seq, epoch: 0, circumstance: "cold", moveId: "owner-report", outcomeId }];
}

/** The job as isolation takes it. */
function requestOf(screen: JobScreen, shop: Shop, access: readonly Access[]): IsolateRequest {
  const { job, bench } = screen;
  const { labourRateMinor: minor, currency } = shop.settings;
  return {
    machine: { family: job.takenIn?.family ?? "not-known" },
    bench: {
      plug: bench.plug,
      drained: screen.gaps("hands-inside").length === 0,
      deadChecksPassed: owedChecks(job, shop).length === 0,
      opened: openedAccess(bench.opened, access),
    },
    evidence: [
      ...ownersReport(screen, shop),
      ...job.answers.map(({ seq, epoch, circumstance, moveId, outcomeId, ratio }) => ({
        seq,
        epoch,
        circumstance,
        moveId,
        outcomeId,
        ...(ratio ? { ratio } : {}),
      })),
    ],
    interventions: job.interventions.map(({ epoch, faultIds, success }) => ({
      epoch,
      faultIds: [...faultIds],
      success,
    })),
    costs: { rankingRatePerHour: { minor, currency } },
  };
}

interface Ready {
  readonly worker: Remote<IsolationWorker>;
  readonly knowledge: Knowledge;
}

/** The worker with its knowledge, once a page. */
function useWorker(shop: Shop, onFail: (issues: readonly Issue[]) => void): Ready | undefined {
  const [ready, setReady] = useState<Ready | undefined>(undefined);
  const failed = useRef(onFail);
  useEffect(() => {
    const thread = new Worker(new URL("../../workers/isolation.worker.ts", import.meta.url), {
      type: "module",
    });
    const worker = wrap<IsolationWorker>(thread);
    void request<Knowledge>("GET", "/api/knowledge").then(async (answer) => {
      if (!answer.ok) return failed.current(answer.issues);
      await worker.prepare(answer.value, shop.limits);
      setReady({ worker, knowledge: answer.value });
    });
    return () => thread.terminate();
  }, [shop.limits]);
  return ready;
}

/** Where the fault sits and what to do next, worked out again after each answer, away from the page's own thread. */
export function useIsolation(screen: JobScreen, shop: Shop): IsolationState {
  const [state, setState] = useState<IsolationState>({ kind: "working" });
  const ready = useWorker(shop, (issues) => setState({ kind: "failed", issues }));
  // The request as text: asked again only when it says something else, not at each tick of the clock.
  const asked = useMemo(
    () => (ready ? JSON.stringify(requestOf(screen, shop, ready.knowledge.access)) : undefined),
    [ready, screen, shop],
  );
  useEffect(() => {
    if (!ready || asked === undefined) return;
    let isCurrent = true;
    void ready.worker.isolate(JSON.parse(asked)).then((found) => {
      if (!isCurrent) return;
      setState(
        found.ok
          ? { kind: "ready", isolation: found.value, knowledge: ready.knowledge }
          : { kind: "failed", issues: found.issues },
      );
    });
    return () => {
      isCurrent = false;
    };
  }, [ready, asked]);
  return state;
}
