import type { TakenIn } from "@/core/job/entry";
import type { JobView } from "@/core/job/reduce";
import type { Issue } from "@/core/result";
import type { Shop } from "@/core/shop/shop";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface NotCoveredProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly issues: readonly Issue[];
}

function withFamily(
  { machine, tag, place, protectionClass, connection, heater, ownerId, ceilingMinor, history }: TakenIn,
  family: string,
): TakenIn {
  return { machine, tag, place, family, protectionClass, connection, heater, ownerId, ceilingMinor, history };
}

/** What kind of motor it is, by what can be seen with the plug out: one tap settles it. */
function WhichKind({ job, shop }: Pick<NotCoveredProps, "job" | "shop">) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { takenIn } = job;
  if (!takenIn) return null;
  return (
    <div className="move px-5 py-4">
      <h1 className="font-bold text-[30px] leading-tight tracking-tight">What kind of motor is it?</h1>
      <p className="mt-1 text-lg">
        Plug out: look for a capacitor’s hump, brush caps, copper rings in the poles; count its leads, feel
        for detents. No live move is offered before this is known.
      </p>
      <ul className="mt-3 grid gap-2 lg:grid-cols-2">
        {shop.families
          .filter(({ id }) => id !== "not-known")
          .map(({ id, label, clue }) => (
            <li key={id}>
              <button
                type="button"
                disabled={isBusy}
                onClick={() =>
                  post({ kind: "taken-in", stage: "isolate", payload: { ...withFamily(takenIn, id) } })
                }
                className="min-h-14 w-full rounded-[3px] border-2 border-teal bg-paper px-4 py-2 text-left"
              >
                <span className="block font-semibold text-lg leading-tight">{label}</span>
                <span className="block text-[15px] text-soft leading-tight">{clue}</span>
              </button>
            </li>
          ))}
      </ul>
      <Problem text={problem} />
    </div>
  );
}

/** Why nothing can be worked out for this machine, and the ways on. */
export function NotCovered({ job, shop, issues }: NotCoveredProps) {
  if (job.takenIn?.family === "not-known") return <WhichKind job={job} shop={shop} />;
  return (
    <div className="move px-5 py-5">
      <h1 className="font-bold text-[30px] leading-tight">Nothing can be worked out from this</h1>
      {issues.map(({ message }) => (
        <p key={message} className="mt-2 text-lg">
          {message}
        </p>
      ))}
      <p className="mt-4 flex flex-wrap gap-3">
        <a className="btn btn-primary" href={`/jobs/${job.jobId}/take-in`}>
          Change the kind of motor
        </a>
        <a className="btn btn-outline" href={`/jobs/${job.jobId}/measure`}>
          Measure
        </a>
      </p>
    </div>
  );
}
