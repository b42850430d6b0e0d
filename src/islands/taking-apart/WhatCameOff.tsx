import type { Stage } from "@/core/job/stages";
import type { JobScreen } from "../frame/use-job-screen";
import { TookOff } from "./TookOff";
import { useTakingApart } from "./use-taking-apart";

interface OffProps {
  readonly screen: JobScreen;
  readonly stage: Stage;
}

/** Offered while a cover comes off, not afterwards: what comes off with it, one tap each. */
export function WhatCameOff({ screen, stage }: OffProps) {
  const { job } = screen;
  const apart = useTakingApart(screen, stage);
  const off = job.removed.filter(({ refit }) => refit === null).length;
  return (
    <details className="my-2" data-testid="what-came-off">
      <summary className="min-h-11 cursor-pointer py-2 text-teal underline underline-offset-4">
        What came off with it{off > 0 ? `: ${off} noted` : ""}
      </summary>
      <TookOff apart={apart} isLoud={false} />
    </details>
  );
}
