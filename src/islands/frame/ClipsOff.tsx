import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

/** A clip left on is asked off before power: one tap. */
export function ClipsOff({ job, stage }: { readonly job: JobView; readonly stage: Stage }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  return (
    <>
      <button
        type="button"
        className="btn btn-primary btn-bench"
        disabled={isBusy}
        onClick={() => void post({ kind: "bench-state", stage, payload: { event: "clips-off" } })}
      >
        The clip is off
      </button>
      <Problem text={problem} />
    </>
  );
}
