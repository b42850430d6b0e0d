import type { JobView } from "@/core/job/log/view";
import { stillOff } from "@/core/job/reassembly/put-back";
import { openDangers } from "@/core/safety/dangers/danger";
import { VerdictMark } from "../frame/VerdictMark";

interface Whole {
  readonly isWhole: boolean;
  readonly what: string;
  readonly how: string;
}

function wholeOf(job: JobView): Whole {
  const left = stillOff(job).length + job.bench.opened.length;
  const title = "Covers on, nothing left over";
  if (left > 0) return { isWhole: false, what: title, how: `${left} not back` };
  const places = openDangers(job.live.dangers).flatMap(({ kind, place }) =>
    kind === "left-out" ? [place] : [],
  );
  const bare = job.removed.filter(({ seq }) => places.includes(`line:${seq}`));
  if (bare.length > 0)
    return {
      isWhole: false,
      what: `Not fitted, and it protects: ${bare.map(({ what }) => what).join(", ")}`,
      how: 'fit it, or the machine leaves as "do not use"',
    };
  const leftOut = job.removed.filter(({ refit }) => refit?.how === "left-out").length;
  const back = job.removed.length === 0 ? "nothing was noted as off" : `${job.removed.length - leftOut} back`;
  return { isWhole: true, what: title, how: leftOut > 0 ? `${back}, ${leftOut} left out` : back };
}

/** Covers and parts as the log has them: nothing to tick here, it follows from what went back. */
export function Covers({ job }: { readonly job: JobView }) {
  const { isWhole, what, how } = wholeOf(job);
  return (
    <p className="flex flex-wrap items-center gap-2 border-rule border-t py-2.5 text-lg" data-testid="covers">
      <VerdictMark shape={isWhole ? "ticked" : "failed"} />
      <b>{what}</b>
      <span>{how}</span>
    </p>
  );
}
