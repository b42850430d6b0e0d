import { useEffect, useState } from "react";
import type { JobView } from "@/core/job/log/view";
import { request } from "./api";

/** The job that this one was begun from: the same machine or its twin. Undefined where there is none, or not yet. */
export function useEarlierJob({ takenIn }: Pick<JobView, "takenIn">): JobView | undefined {
  const [earlier, setEarlier] = useState<JobView | undefined>(undefined);
  const jobId = takenIn?.from?.jobId;
  useEffect(() => {
    if (jobId === undefined) return undefined;
    let isCurrent = true;
    void request("GET /api/jobs/{id}", { params: { id: String(jobId) } }).then((answer) => {
      if (isCurrent && answer.ok) setEarlier(answer.value);
    });
    return () => {
      isCurrent = false;
    };
  }, [jobId]);
  return earlier;
}
