import { useCallback, useMemo } from "react";
import { liveFactsOf } from "@/core/job/live-facts";
import type { JobView } from "@/core/job/log/view";
import { type CollarState, collars, type NextStep, nextStep } from "@/core/job/next-step";
import type { Stage } from "@/core/job/stages";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import { type BenchGap, gapsFor } from "@/core/safety/bench-gaps";
import { asSeen, type BenchState } from "@/core/safety/bench-state";
import { type BenchSummary, benchSummary } from "@/core/safety/bench-summary";
import { type LiveGap, type LiveWarning, liveGaps, liveWarnings } from "@/core/safety/live-work";
import { isOutletNamed } from "@/core/shop/settings";
import type { Shop } from "@/core/shop/shop";
import { useNow } from "../state/clock";
import { $job, useJob } from "../state/job";
import { useTouches, useWatches } from "../state/watch";

/** A job as it may be relied on at this moment on this screen. */
export interface JobScreen {
  readonly job: JobView;
  readonly now: string;
  readonly bench: BenchState;
  readonly summary: BenchSummary;
  readonly collars: Readonly<Record<Stage, CollarState>>;
  readonly step: NextStep;
  /** What could be done if the plug were still known to be out: undefined while it is, or was never out. */
  readonly wasAboutTo: NextStep | undefined;
  gaps(need: BenchNeed): BenchGap[];
  /** What hands do at this moment counts as done now only with nothing between them and the machine. */
  taken(need: BenchNeed): "now" | "afterwards";
  /** What stands between the machine and power used so. */
  liveGaps(power: PowerUse): LiveGap[];
  readonly liveWarnings: readonly LiveWarning[];
}

export function useJobScreen(fromPage: JobView, shop: Shop): JobScreen {
  const job = useJob(fromPage);
  const now = useNow(shop.now);
  const isFreshFor = useWatches();
  const { limits, deadChecks, moves, tools } = shop;
  const { zone, residualOutlet } = shop.settings;
  const isPlugFresh = isFreshFor(job, now, limits);
  const isStillFresh = useCallback((): boolean => {
    const current = $job.get();
    return current !== null && isFreshFor(current, new Date().toISOString(), limits);
  }, [isFreshFor, limits]);
  useTouches(job.jobId, isStillFresh);
  return useMemo(() => {
    const bench = asSeen(job.bench, isPlugFresh);
    const context = { deadChecks, moves, tools, limits, now, zone, isPlugFresh };
    const gaps = (need: BenchNeed): BenchGap[] => gapsFor(bench, need, job.machine, now, limits);
    const facts = liveFactsOf(job, bench, { deadChecks, isOutletNamed: isOutletNamed({ residualOutlet }) });
    return {
      job,
      now,
      bench,
      summary: benchSummary(bench, job.machine, now, limits),
      collars: collars(job, context),
      step: nextStep(job, context),
      wasAboutTo:
        !isPlugFresh &&
        !job.signedOff &&
        gapsFor(job.bench, "plug-out", job.machine, now, limits).length === 0
          ? nextStep(job, { ...context, isPlugFresh: true })
          : undefined,
      gaps,
      taken: (need) => (gaps(need).length === 0 ? "now" : "afterwards"),
      liveGaps: (power) => liveGaps(facts, power),
      liveWarnings: liveWarnings(facts),
    };
  }, [job, now, isPlugFresh, deadChecks, moves, tools, limits, zone, residualOutlet]);
}
