import Pause from "lucide-react/icons/pause";
import Play from "lucide-react/icons/play";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { useWorkClock } from "./work-clock";

/** Minutes at the bench so far, and one tap to stop or start their count. */
export function Clock({ job, stage }: { readonly job: JobView; readonly stage: Stage }) {
  const clock = useWorkClock(job, stage);
  const minutes = Math.floor(clock.seconds / 60);
  if (job.signedOff) return null;
  const Icon = clock.isPaused ? Play : Pause;
  const does = clock.isPaused ? "Start the minutes again" : "Stop the minutes";
  return (
    <button
      type="button"
      className={`flex min-h-11 items-center gap-2 whitespace-nowrap px-1 ${clock.isRunning ? "" : "text-soft"}`}
      aria-label={`${minutes} min at the bench${clock.isRunning ? "" : ", not counting"}. ${does}`}
      title={does}
      onClick={() => clock.setPaused(!clock.isPaused)}
      data-testid="clock"
    >
      <Icon size={18} aria-hidden="true" />
      <span className="num">{minutes}</span> min
    </button>
  );
}
