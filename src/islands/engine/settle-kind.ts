import type { TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { usePost } from "../state/use-post";

/** The line alone, without the place it has in the log and what the server adds to it. */
function withFamily(
  { seq: _seq, at: _at, by: _by, carried: _carried, ...line }: NonNullable<JobView["takenIn"]>,
  family: string,
): Omit<TakenIn, "carried"> {
  return { ...line, family };
}

/** Says what kind of motor a machine has: the line of taking in, once more, with its family. */
export function useSettleKind(job: JobView) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const settle = (family: string): void => {
    if (job.takenIn)
      void post({ kind: "taken-in", stage: "isolate", payload: { ...withFamily(job.takenIn, family) } });
  };
  return { settle, problem, isBusy };
}
