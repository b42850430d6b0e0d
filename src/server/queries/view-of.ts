import type { Entry } from "@/core/job/log/entry";
import type { JobContext, JobView } from "@/core/job/log/view";
import { reduceJob } from "@/log/reduce";

const SHOWN_LENGTH = 2000;

function bare(entry: Entry): Entry {
  const { payload, kind, ...envelope } = entry;
  if (kind === "unreadable") return entry;
  const raw = JSON.stringify(payload).slice(0, SHOWN_LENGTH);
  const why = "What this job's lines say together cannot be worked out: a fault of this program.";
  return { ...envelope, kind: "unreadable", payload: { was: kind, raw, why } };
}

/**
 * A job as its log says it. A log that the reducer stumbles over is a fault of ours: its job shows its bare lines, each as
 * one that cannot be read, and no other job or page goes down with it.
 */
export function viewOf(
  jobId: number,
  entries: readonly Entry[],
  context: JobContext,
  reduce: typeof reduceJob = reduceJob,
): JobView {
  try {
    return reduce(jobId, entries, context);
  } catch (error) {
    console.error(`job ${jobId} cannot be worked out: ${error instanceof Error ? error.name : "error"}`);
    return reduceJob(jobId, entries.map(bare), context);
  }
}
