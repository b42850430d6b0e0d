import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import type { Holdable } from "@/core/safety/holdable";
import { HELD_WORDS } from "@/words/held";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { NotHere } from "./NotHere";

interface HoldProps {
  readonly job: JobView;
  readonly stage: Stage;
  readonly id: Holdable;
  onSettled?(): void;
}

/** What can move by itself is held, or is not in this machine: one tap. */
export function HoldItem({ job, stage, id, onSettled }: HoldProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = async (is: "held" | "none", why?: string): Promise<void> => {
    if (await post({ kind: "bench-state", stage, payload: { event: "held", id, is, why } })) onSettled?.();
  };
  return (
    <div className="flex flex-wrap gap-3">
      <button
        type="button"
        className="btn btn-primary btn-bench"
        disabled={isBusy}
        onClick={() => void say("held")}
      >
        {HELD_WORDS[id]}
      </button>
      <NotHere
        job={job}
        id={id}
        className="btn btn-outline btn-bench"
        isBusy={isBusy}
        onSay={(why) => void say("none", why)}
      />
      <Problem text={problem} />
    </div>
  );
}
