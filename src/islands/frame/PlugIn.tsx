import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface PlugInProps {
  readonly job: JobView;
  readonly stage: Stage;
  /** The shop's outlet behind a residual-current device, as it calls it. */
  readonly outletName: string;
}

/** Plugged in, and behind what: one tap says both. */
export function PlugIn({ job, stage, outletName }: PlugInProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const isFixed = job.machine.connection === "fixed";
  const label = isFixed ? "Switched on, an RCD (GFCI) is behind it" : `Plugged in, hands off: ${outletName}`;
  return (
    <>
      <button
        type="button"
        className="btn btn-primary btn-bench"
        disabled={isBusy}
        onClick={() =>
          void post({
            kind: "bench-state",
            stage,
            payload: { event: "plugged-in", outlet: "residual-current" },
          })
        }
      >
        {label}
      </button>
      <Problem text={problem} />
    </>
  );
}
