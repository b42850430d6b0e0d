import type { TakenIn } from "@/core/job/entry";
import type { JobView } from "@/core/job/reduce";
import { usePost } from "../state/use-post";

function withFamily(
  { machine, tag, place, protectionClass, connection, heater, ownerId, ceilingMinor, history }: TakenIn,
  family: string,
): TakenIn {
  return { machine, tag, place, family, protectionClass, connection, heater, ownerId, ceilingMinor, history };
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
