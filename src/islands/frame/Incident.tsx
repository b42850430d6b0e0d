import { useState } from "react";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

const WHAT = [
  ["trip", "The breaker tripped"],
  ["residual-trip", "The RCD (GFCI) tripped"],
  ["smoke", "Smoke"],
  ["smell", "Burnt smell"],
  ["tingle", "A tingle"],
] as const;

/** What power must not do twice: one tap each, at hand while it is on. */
export function Incident({ job, stage }: { readonly job: JobView; readonly stage: Stage }) {
  const [isOpen, setIsOpen] = useState(false);
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = (what: string) => async () => {
    if (await post({ kind: "bench-state", stage, payload: { event: "incident", what } })) setIsOpen(false);
  };
  return (
    <div className="mt-3">
      <button
        type="button"
        className="min-h-11 text-oxide underline underline-offset-4"
        aria-expanded={isOpen}
        onClick={() => setIsOpen(!isOpen)}
      >
        It tripped, smoked, smelt or tingled
      </button>
      {isOpen ? (
        <div className="mt-1 flex flex-wrap items-center gap-3">
          <b>Plug out first.</b>
          {WHAT.map(([what, label]) => (
            <button
              key={what}
              type="button"
              className="btn btn-outline"
              disabled={isBusy}
              onClick={say(what)}
            >
              {label}
            </button>
          ))}
        </div>
      ) : null}
      <Problem text={problem} />
    </div>
  );
}
