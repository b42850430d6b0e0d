import type { LiveGap } from "@/core/safety/live-work";
import { LIVE_GAP_WORDS } from "@/log/gap-words";
import { GapLink } from "./GapLink";
import type { JobScreen } from "./use-job-screen";

/** Reasons that end live work whatever else is done: they stand on every screen of the job until they are answered. */
const STOPS: readonly LiveGap[] = ["stop", "incident", "failing"];

export function StopBar({ screen }: { readonly screen: JobScreen }) {
  const { job } = screen;
  const stop = screen.liveGaps("guards-on").find((gap) => STOPS.includes(gap));
  if (stop === undefined || job.signedOff) return null;
  const { what, how } = LIVE_GAP_WORDS[stop];
  return (
    <div
      role="alert"
      className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-2"
      data-testid="stop-bar"
    >
      <p className="flex flex-wrap items-center gap-x-4 bg-paper px-4 py-2">
        <span>
          <b className="text-lg">{what}</b> {how}
        </span>
        <GapLink
          gap={stop}
          jobId={job.jobId}
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
        />
      </p>
    </div>
  );
}
