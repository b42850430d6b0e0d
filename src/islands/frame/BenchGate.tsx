import type { Stage } from "@/core/job/stages";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import { LIVE_GAP_WORDS } from "@/words/gaps";
import { BenchStep, benchTitle } from "./BenchStep";
import { GapLink } from "./GapLink";
import type { JobScreen } from "./use-job-screen";

interface GateProps {
  readonly stage: Stage;
  readonly need: BenchNeed;
  /** How power is on for it. */
  readonly power?: PowerUse;
  readonly screen: JobScreen;
  readonly about: string;
  /** The honest way round, for what was done already. */
  readonly late?: string;
  onSettled(): void;
  onAfterwards(): void;
}

/** What stands between a reading and the log, with the honest way round for one that was taken already. */
export function BenchGate({
  screen,
  stage,
  need,
  power = "off",
  about,
  late = "It was read before: keep it as entered afterwards",
  onSettled,
  onAfterwards,
}: GateProps) {
  const [gap] = screen.gaps(need);
  const [live] = gap === undefined ? screen.liveGaps(power) : [];
  if (gap === undefined && live === undefined) return null;
  return (
    <div role="alert" className="hatched my-3 rounded-[3px] border-[1.5px] border-ink p-2" data-testid="gate">
      <div className="bg-paper px-4 py-3">
        <p className="font-semibold text-xl">
          {gap ? benchTitle(gap, screen) : live ? LIVE_GAP_WORDS[live].what : ""}
        </p>
        <p className="mb-3">You were about to keep {about}.</p>
        {gap ? <BenchStep gap={gap} screen={screen} stage={stage} onSettled={onSettled} /> : null}
        <div className="mt-3 flex flex-wrap gap-3">
          {live ? <GapLink gap={live} jobId={screen.job.jobId} className="btn btn-primary" /> : null}
          <button type="button" className="btn btn-outline" onClick={onAfterwards}>
            {late}
          </button>
        </div>
      </div>
    </div>
  );
}
