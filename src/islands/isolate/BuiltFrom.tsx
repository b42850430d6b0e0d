import type { JobView } from "@/core/job/log/view";
import type { Station } from "@/core/knowledge/types";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface BuiltProps {
  readonly job: JobView;
  readonly stations: readonly Station[];
  readonly present: ReadonlySet<string>;
}

/** What this very machine is put together from: a tap adds a station or takes it out of the path. */
export function BuiltFrom({ job, stations, present }: BuiltProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const toggle = (id: string): void => {
    const next = stations
      .map((station) => station.id)
      .filter((one) => (one === id ? !present.has(id) : present.has(one)));
    void post({ kind: "built", stage: "isolate", payload: { stations: next } });
  };
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-11 cursor-pointer items-center text-teal underline underline-offset-4">
        This machine has other stations
      </summary>
      <fieldset disabled={isBusy}>
        <legend className="label-line">The way from supply to load in this machine</legend>
        <div className="flex flex-wrap gap-2">
          {stations.map(({ id, label }) => (
            <label className="chip" key={id}>
              <input
                className="sr-only"
                type="checkbox"
                checked={present.has(id)}
                onChange={() => toggle(id)}
              />
              {label}
            </label>
          ))}
        </div>
      </fieldset>
      <Problem text={problem} />
    </details>
  );
}
