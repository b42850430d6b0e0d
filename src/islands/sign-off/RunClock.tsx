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
    <p className="mt-2 font-semibold text-brass">
      By this log power has been on for {formatDuration((Date.parse(now) - Date.parse(span.from)) / 1000)}{" "}
      since it was plugged in or last run: of this run no more than {formatDuration(counted * 60)} count.
    </p>
  );
}
