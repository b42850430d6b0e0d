import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import type { Holdable } from "@/core/safety/bench-state";
import { HELD_WORDS } from "@/words/held";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface HoldProps {
  readonly job: JobView;
  readonly stage: Stage;
  readonly id: Holdable;
}

/** What can move by itself is held, or is not in this machine: one tap. */
export function HoldItem({ job, stage, id }: HoldProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = (is: "held" | "none") => () =>
    void post({ kind: "bench-state", stage, payload: { event: "held", id, is } });
  return (
    <div className="flex flex-wrap gap-3">
      <button type="button" className="btn btn-primary btn-bench" disabled={isBusy} onClick={say("held")}>
        {HELD_WORDS[id]}
      </button>
      <button type="button" className="btn btn-outline btn-bench" disabled={isBusy} onClick={say("none")}>
        {id === "coasting" ? "It does not run on" : "Not in this machine"}
      </button>
      <Problem text={problem} />
    </div>
  );
}
