import { useState } from "react";
import { isRepairDone } from "@/core/job/reassembly/put-back";
import type { Repair } from "@/core/knowledge/types";
import { Problem } from "../fields/Problem";
import { BenchGate } from "../frame/BenchGate";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";
import { stepLabel } from "../words/routes";

interface DoneProps {
  readonly screen: JobScreen;
  readonly repairs: readonly Repair[];
}

/** Something else was done than what was decided: the choice of what. */
function Other({
  repairs,
  isBusy,
  onDone,
}: { readonly isBusy: boolean; onDone(id: string): void } & Pick<DoneProps, "repairs">) {
  const [id, setId] = useState("");
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label className="min-w-56 grow md:max-w-96">
        <span className="label-line">What was done</span>
        <select className="select" value={id} onChange={(event) => setId(event.target.value)}>
          <option value="">Choose</option>
          {repairs.map((repair) => (
            <option key={repair.id} value={repair.id}>
              {repair.label}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="btn btn-outline"
        disabled={isBusy || id === ""}
        onClick={() => onDone(id)}
      >
        It is done
      </button>
    </div>
  );
}

/** The repair that was decided, with the one tap that writes it down; what is read afterwards counts anew. */
export function RepairDone({ screen, repairs }: DoneProps) {
  const { job } = screen;
  const { post, problem, isBusy } = usePost(job.jobId);
  const [pending, setPending] = useState<readonly string[]>([]);
  const [isOther, setIsOther] = useState(false);
  const { decision, interventions } = job;
  const isDone = isRepairDone(job);
  const keep = async (ids: readonly string[]): Promise<void> => {
    for (const repair of ids)
      if (!(await post({ kind: "intervention", stage: "put-back", payload: { repair } }))) return;
    setPending([]);
  };
  const done = (ids: readonly string[]): void => {
    if (screen.gaps("hands-inside").length === 0) void keep(ids);
    else setPending(ids);
  };
  const wanted = decision && !isDone ? decision.repairs : [];
  const part = job.parts.at(-1);
  return (
    <section aria-label="The repair" className={wanted.length > 0 ? "move px-5 py-4" : "py-1"}>
      {wanted.length > 0 ? (
        <>
          <p className="font-semibold text-soft">The repair</p>
          <h2 className="font-bold text-[30px] leading-tight tracking-tight">{stepLabel(wanted, repairs)}</h2>
          {part ? <p className="text-lg">{part.label}</p> : null}
          {part?.fit === "temporary" ? (
            <p className="font-semibold text-brass">
              For a while only: with an end date, and never as evidence.
            </p>
          ) : null}
          <div className="mt-3 flex flex-wrap gap-3">
            <button
              type="button"
              className="btn btn-primary btn-loud"
              disabled={isBusy}
              onClick={() => done(wanted)}
            >
              It is done
            </button>
            <button type="button" className="btn btn-outline" onClick={() => setIsOther(!isOther)}>
              Something else was done
            </button>
          </div>
        </>
      ) : (
        <p className="flex flex-wrap items-center gap-x-4">
          {interventions.length > 0 ? (
            <span>
              Done: <b>{interventions.map(({ label }) => label).join(" · ")}</b>
            </span>
          ) : decision ? (
            <span>
              Decided: <b>{decision.label}</b>
            </span>
          ) : (
            <span>
              Nothing is decided yet.{" "}
              <a
                className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                href={`/jobs/${job.jobId}/decide`}
              >
                Decide
              </a>
            </span>
          )}
          <button
            type="button"
            className="min-h-11 text-teal underline underline-offset-4"
            onClick={() => setIsOther(!isOther)}
          >
            {interventions.length > 0 ? "Something more was done" : "Something was done already"}
          </button>
        </p>
      )}
      {isOther ? (
        <div className="mt-3">
          <Other repairs={repairs} isBusy={isBusy} onDone={(id) => done([id])} />
        </div>
      ) : null}
      {pending.length > 0 ? (
        <BenchGate
          screen={screen}
          stage="put-back"
          need="hands-inside"
          about={`"${stepLabel(pending, repairs)}" as done`}
          late="It was done before: keep it"
          onSettled={() => keep(pending)}
          onAfterwards={() => keep(pending)}
        />
      ) : null}
      <Problem text={problem} />
    </section>
  );
}
