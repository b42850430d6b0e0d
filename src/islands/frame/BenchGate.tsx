import type { Stage } from "@/core/job/stages";
import type { BenchNeed, PowerUse } from "@/core/knowledge/touches";
import type { BenchGap } from "@/core/safety/bench-gaps";
import { LIVE_GAP_WORDS } from "@/words/gaps";
import { GapLink } from "./GapLink";
import { PlugQuestion } from "./PlugQuestion";
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

const GAP_WORDS: Readonly<Partial<Record<BenchGap, string>>> = {
  stop: "High voltage: it is not opened here.",
  charge: "Stored charge has not been measured.",
  battery: "Is the battery out?",
  plug: "Is the plug out?",
};

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
  const gaps = screen.gaps(need);
  const [live] = gaps.length === 0 ? screen.liveGaps(power) : [];
  const isPlug = gaps[0] === "plug" || gaps[0] === "battery";
  return (
    <div role="alert" className="hatched my-3 rounded-[3px] border-[1.5px] border-ink p-2" data-testid="gate">
      <div className="bg-paper px-4 py-3">
        <p className="font-semibold text-xl">
          {live
            ? LIVE_GAP_WORDS[live].what
            : (GAP_WORDS[gaps[0] ?? "plug"] ?? "The machine is not made safe.")}
        </p>
        <p className="mb-3">You were about to keep {about}.</p>
        {isPlug ? <PlugQuestion job={screen.job} stage={stage} onSettled={onSettled} /> : null}
        <div className="mt-3 flex flex-wrap gap-3">
          {live ? <GapLink gap={live} jobId={screen.job.jobId} className="btn btn-primary" /> : null}
          {isPlug || live || gaps[0] === "stop" ? null : (
            <a className="btn btn-primary" href={`/jobs/${screen.job.jobId}/make-safe`}>
              Read the volts first
            </a>
          )}
          <button type="button" className="btn btn-outline" onClick={onAfterwards}>
            {late}
          </button>
        </div>
      </div>
    </div>
  );
}
