import type { Stage } from "@/core/job/stages";
import { dangersAgainst, type LiveGap } from "@/core/safety/live-work";
import { dangersInShort } from "@/words/dangers";
import { LIVE_GAP_WORDS } from "@/words/gaps";
import { GapLink } from "./GapLink";
import type { JobScreen } from "./use-job-screen";

/** Reasons that end live work whatever else is done: they stand on every screen of the job until they are answered. */
const STOPS: readonly LiveGap[] = ["stop", "danger"];

interface StopProps {
  readonly screen: JobScreen;
  readonly stage: Stage;
}

export function StopBar({ screen, stage }: StopProps) {
  const { job } = screen;
  const stop = screen.liveGaps("guards-on").find((gap) => STOPS.includes(gap));
  if (stop === undefined || job.signedOff) return null;
  const { what, how, where } = LIVE_GAP_WORDS[stop];
  const dangers = stop === "danger" ? dangersAgainst(job.live.dangers, "guards-on") : [];
  return (
    <div
      role="alert"
      className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-2"
      data-testid="stop-bar"
    >
      <p className="flex flex-wrap items-center gap-x-4 bg-paper px-4 py-2">
        <span>
          <b className="text-lg">{what}</b> {dangers.length === 0 ? how : dangersInShort(dangers)}
        </span>
        {dangers.length > 0 ? (
          stage === "sign-off" ? null : (
            <a
              className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
              href={`/jobs/${job.jobId}/sign-off#open`}
            >
              What closes {dangers.length === 1 ? "it" : "them"}
            </a>
          )
        ) : where === stage ? null : (
          <GapLink
            gap={stop}
            jobId={job.jobId}
            className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          />
        )}
      </p>
    </div>
  );
}
