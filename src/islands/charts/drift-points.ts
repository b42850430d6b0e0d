import type { JobView } from "@/core/job/log/view";

type Reading = JobView["readings"][number];

/** One dated reading of the same thing. */
export interface DriftPoint {
  readonly at: string;
  readonly value: number;
  readonly verdict: string;
  readonly jobId: number;
}

type Read = Pick<JobView, "jobId" | "readings" | "interventions">;

/**
 * Readings of one tool for one move, over this job and an earlier one of the same machine, oldest first. What belongs
 * together has the same first figure in the same unit, and no repair between: after one it may be another part.
 */
export function driftPoints(jobs: readonly Read[], last: Reading): readonly DriftPoint[] {
  const figure = last.finding.figures[0];
  if (!figure) return [];
  const repaired = jobs.flatMap(({ interventions }) => interventions.map(({ at }) => at));
  const since = repaired
    .filter((at) => at <= last.at)
    .sort((one, other) => one.localeCompare(other))
    .at(-1);
  return jobs
    .flatMap(({ jobId, readings }) =>
      readings
        .filter(({ toolId, moveId }) => toolId === last.toolId && moveId === last.moveId)
        .filter(({ at }) => since === undefined || at >= since)
        .flatMap(({ at, finding }) => {
          const own = finding.figures.find(({ id, unit }) => id === figure.id && unit === figure.unit);
          return own ? [{ at, value: own.value, verdict: finding.verdict, jobId }] : [];
        }),
    )
    .sort((one, other) => one.at.localeCompare(other.at));
}
