import type { Knowledge } from "../knowledge/types";
import type { BenchState } from "../safety/bench-state";
import type { LiveFacts } from "../safety/live-work";
import { stillOff } from "./reassembly/put-back";
import type { Standing } from "./standing";

/** What the shop adds to a job for live work. */
export interface LiveContext {
  readonly deadChecks: Knowledge["deadChecks"];
  readonly isOutletNamed: boolean;
}

/** A job as the grant for live work takes it. @param bench as it may be relied on now */
export function liveFactsOf(
  view: Pick<Standing, "live" | "machine" | "removed">,
  bench: BenchState,
  { deadChecks, isOutletNamed }: LiveContext,
): LiveFacts {
  const { live, machine } = view;
  return {
    bench,
    live,
    machine,
    deadChecks,
    hasAllBack: stillOff(view).length === 0,
    isOutletNamed,
  };
}
