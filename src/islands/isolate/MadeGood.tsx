import { useState } from "react";
import { foundByHand } from "@/core/job/isolation/found-by-hand";
import type { Parameters } from "@/core/knowledge/parameters";
import { needOf, repairTouches } from "@/core/knowledge/touches";
import type { Knowledge } from "@/core/knowledge/types";
import { Problem } from "../fields/Problem";
import { BenchGate } from "../frame/BenchGate";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";

/** A small defect that was seen or felt is made good in passing: what is found afterwards is of the machine as it is then. */
export function MadeGood({
  screen,
  knowledge,
  parameters,
}: {
  readonly screen: JobScreen;
  readonly knowledge: Knowledge;
  readonly parameters: Parameters;
}) {
  const { job } = screen;
  const { post, problem, isBusy } = usePost(job.jobId);
  const [pending, setPending] = useState<string | undefined>(undefined);
  const found = foundByHand(job, knowledge, parameters);
  if (found.length === 0) return null;
  const needOfRepair = (repair: string) =>
    needOf(repairTouches(knowledge.repairs.find(({ id }) => id === repair) ?? {}));
  const keep = async (repair: string, taken: "now" | "afterwards"): Promise<void> => {
    const payload = { repair, taken };
    if (await post({ kind: "intervention", stage: "isolate", payload })) setPending(undefined);
  };
  const done = (repair: string): void => {
    if (screen.taken(needOfRepair(repair)) === "now") void keep(repair, "now");
    else setPending(repair);
  };
  return (
    <section
      aria-label="Made good at once"
      className="mb-3 border-brass border-l-4 pl-3"
      data-testid="made-good"
    >
      {found.map(({ fault, repair }) => (
        <p key={fault.id} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span>
            Found by hand: <b>{fault.label}</b>. Made good at once, {repair.minutes} min?
          </span>
          <button type="button" className="btn btn-outline" disabled={isBusy} onClick={() => done(repair.id)}>
            Done: {repair.done}
          </button>
        </p>
      ))}
      {pending === undefined ? null : (
        <BenchGate
          screen={screen}
          stage="isolate"
          need={needOfRepair(pending)}
          about="This as done"
          late="It was done before: keep it"
          onSettled={() => keep(pending, "now")}
          onAfterwards={() => keep(pending, "afterwards")}
        />
      )}
      <Problem text={problem} />
    </section>
  );
}
