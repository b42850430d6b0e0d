import { useState } from "react";
import type { Stage } from "@/core/job/stages";
import type { Shop } from "@/core/shop/shop";
import { inSentence } from "@/words/in-sentence";
import { stepWords } from "@/words/steps";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { PlugQuestion } from "./PlugQuestion";
import type { JobScreen } from "./use-job-screen";

interface LapsedProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
  readonly stage: Stage;
}

/** Stages at which hands go in and a lapsed plug stands in the way; Isolate asks in its own card, by the move. */
const HANDS: ReadonlySet<Stage> = new Set(["measure", "put-back"]);

/** The plug was out and is no longer known to be: what the repairer was about to do, and one tap to go on. */
export function Lapsed({ screen, shop, stage }: LapsedProps) {
  const { wasAboutTo, job } = screen;
  const [isOther, setIsOther] = useState(false);
  const { post, problem, isBusy } = usePost(job.jobId);
  if (!wasAboutTo || !HANDS.has(stage)) return null;
  const { connection, hasBattery, hasSecondFeed } = job.machine;
  const isOneTap = connection !== "fixed" && connection !== "battery" && !hasBattery && !hasSecondFeed;
  const stillOut = (): void => {
    const payload = { event: "unplugged", evidence: "plug-in-sight" };
    void post({ kind: "bench-state", stage, payload });
  };
  return (
    <section
      aria-label="Is the plug still out?"
      className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-1.5"
      data-testid="lapsed"
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-paper px-3 py-1.5">
        <p className="min-w-0 flex-1 basis-72">
          <b>{connection === "battery" ? "Is the battery still out?" : "Is the plug still out?"}</b>{" "}
          {wasAboutTo.stage === "make-safe"
            ? "Its charge must be read again as well."
            : `You were about to go on: ${inSentence(stepWords(wasAboutTo, shop.settings.zone)).replace(/[.?!]$/, "")}.`}
        </p>
        {isOneTap ? (
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={stillOut}>
            Still out, in sight
          </button>
        ) : null}
        <button
          type="button"
          className="btn btn-outline"
          aria-expanded={isOther}
          onClick={() => setIsOther(!isOther)}
        >
          {isOneTap ? "Other answer" : "Say where it is"}
        </button>
        {isOther ? (
          <div className="w-full">
            <PlugQuestion job={job} stage={stage} />
          </div>
        ) : null}
        <Problem text={problem} />
      </div>
    </section>
  );
}
