import type { JobView } from "@/core/job/log/view";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { placeOf } from "@/core/matching/places";
import { toOrderTogether } from "@/core/matching/to-order";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { Chosen } from "./Chosen";
import type { About } from "./MatchSheet";

interface TakeProps extends Omit<About, "isUnsettled"> {
  readonly one: MatchAnswer["together"][number];
  readonly job: JobView;
}

/** The one tap that takes what stands in the place of one part. */
export function TakeTogether({ one, job, asked, fitted }: TakeProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { id, parts } = one;
  const forPart = placeOf(asked.family);
  const kept = job.parts.find((part) => part.forPart === forPart && part.partId === id);
  if (kept) return <Chosen part={kept} job={job} toOrder={toOrderTogether(one, fitted)} />;
  return (
    <>
      <button
        type="button"
        className="btn btn-outline mt-1"
        disabled={isBusy}
        onClick={() => post({ kind: "part-chosen", stage: "match", payload: { forPart, partId: id, asked } })}
      >
        {parts.length > 1 ? "Take these together" : "Take this instead"}
      </button>
      <Problem text={problem} />
    </>
  );
}
