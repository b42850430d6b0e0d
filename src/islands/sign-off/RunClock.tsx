import type { JobView } from "@/core/job/log/view";
import { formatDuration } from "@/core/quantity/format";
import { minutesCounted, spanOf } from "@/core/safety/power-clock";

interface RunClockProps {
  readonly job: JobView;
  /** Minutes as they are typed. */
  readonly minutes: number;
  readonly now: string;
}

/** A run that is said to have lasted longer than power was on, by the log: what of it counts, before it is kept. */
export function RunClock({ job, minutes, now }: RunClockProps) {
  const span = spanOf(job.live.runs, job.bench, job.seq + 1, now);
  const counted = minutesCounted(minutes, span);
  if (job.bench.onSince === undefined || !(minutes > counted)) return null;
  return (
    <p className="mt-2 text-soft">
      Kept now, this run counts for {formatDuration(Math.floor(counted) * 60)}: by this log power has not been
      on for longer since it was plugged in or last run.
    </p>
  );
}
