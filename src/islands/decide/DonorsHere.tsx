import type { DecisionCase } from "@/core/decision/action";
import type { JobView } from "@/core/job/log/view";
import type { DonorHere } from "@/core/matching/donor-here";
import { formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import type { RouteNames } from "@/words/routes";
import { repairLabel } from "../engine/names";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface DonorsHereProps {
  readonly job: JobView;
  readonly donors: readonly DonorHere[];
  readonly options: DecisionCase;
  readonly names: RouteNames;
  readonly currency: string;
}

/** A cause that is less likely than this is not what a donor is opened for. */
const LEAST_CHANCE = 0.05;

/** Repairs that are likely enough to ask for a part, or a motor. */
function wanted({ causes, swaps }: DecisionCase): ReadonlySet<string> {
  return new Set([
    ...causes.filter(({ chance }) => chance >= LEAST_CHANCE).map(({ id }) => id),
    ...swaps.flatMap(({ kind, repairs }) => (kind === "motor" ? repairs : [])),
  ]);
}

/** What of the machines kept for parts may do here: weighed at its price on the shelf with one press, once it is known to fit. */
export function DonorsHere({ job, donors, options, names, currency }: DonorsHereProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const asked = wanted(options);
  const here = donors.filter(({ repair }) => asked.has(repair) && job.said[`donor:${repair}`] === undefined);
  if (here.length === 0) return null;
  return (
    <section aria-label="In machines kept for parts" className="mt-3" data-testid="donors-here">
      <h2 className="font-semibold">In machines kept for parts</h2>
      <ul>
        {here.map(({ repair, label, place, machine, tested, priceMinor, fit, first }) => (
          <li key={repair} className="flex flex-wrap items-center gap-x-4 border-rule border-t py-1.5">
            <span className="min-w-0 flex-1 basis-72">
              <b className="font-medium">{label}</b>, for: {inSentence(repairLabel(names, repair))}.{" "}
              <span className="text-soft">
                {place}, {machine}. {tested === "" ? "Nothing was tested on it." : `Tested: ${tested}.`}{" "}
                {first}{" "}
                {fit === "open" && tested !== ""
                  ? "What is needed is not known well enough to say that it fits."
                  : ""}
              </span>
            </span>
            {fit === "open" ? (
              <a
                className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                href={`/jobs/${job.jobId}/match`}
              >
                Match it first
              </a>
            ) : (
              <button
                type="button"
                className="btn btn-outline"
                disabled={isBusy}
                onClick={() =>
                  void post({
                    kind: "priced",
                    stage: "decide",
                    payload: { of: `donor:${repair}`, minor: priceMinor },
                  })
                }
              >
                Weigh it at {formatMoney(priceMinor, currency)}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Problem text={problem} />
    </section>
  );
}
