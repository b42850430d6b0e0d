import type { LiveGap } from "@/core/safety/live-work";
import { type GapStage, LIVE_GAP_WORDS } from "@/words/gaps";

const LINKS: Readonly<Record<Exclude<GapStage, null>, string>> = {
  "take-in": "Go to Take in",
  "make-safe": "Go to Make safe",
  isolate: "Go to Isolate",
  "put-back": "Put back what is off",
  "set-up": "Name the outlet in Set-up",
};

interface LinkProps {
  readonly gap: LiveGap;
  readonly jobId: number;
  readonly className: string;
}

/** Where what is missing for power is done; nothing where it is not done here. */
export function GapLink({ gap, jobId, className }: LinkProps) {
  const { where } = LIVE_GAP_WORDS[gap];
  if (where === null) return null;
  return (
    <a className={className} href={where === "set-up" ? "/set-up" : `/jobs/${jobId}/${where}`}>
      {LINKS[where]}
    </a>
  );
}
