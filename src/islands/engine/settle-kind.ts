import type { JobView } from "@/core/job/log/view";
import { saidAgain } from "../state/said-again";
import { usePost } from "../state/use-post";

/** Says what kind of motor a machine has: the line of taking in, once more, with its family. */
export function useSettleKind(job: JobView) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const settle = (family: string): void => {
    if (job.takenIn)
      void post({ kind: "taken-in", stage: "isolate", payload: { ...saidAgain(job.takenIn, { family }) } });
  };
  return { settle, problem, isBusy };
}
