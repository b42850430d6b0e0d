import { useState } from "react";
import { fitsProtectivePart, isMatched } from "@/core/job/protective-part";
import { isRepairDone } from "@/core/job/reassembly/put-back";
import { needOf, repairTouches } from "@/core/knowledge/touches";
import type { Repair } from "@/core/knowledge/types";
import { stepLabel } from "@/words/routes";
import { Problem } from "../fields/Problem";
import { useAnchored } from "../frame/anchor";
import { BenchGate } from "../frame/BenchGate";
import type { JobScreen } from "../frame/use-job-screen";
import { usePost } from "../state/use-post";

interface DoneProps {
  readonly screen: JobScreen;
  readonly repairs: readonly Repair[];
}

type Taken = "now" | "afterwards";
type PartSaid = "same" | "not-checked" | undefined;

interface OtherProps extends Pick<DoneProps, "repairs"> {
  readonly isBusy: boolean;
  asksPart(ids: readonly string[]): boolean;
  onDone(id: string, part: PartSaid): void;
}

interface DoneButtonProps {
  readonly asksPart: boolean;
  readonly isBusy: boolean;
  readonly isLoud: boolean;
  onDone(part: PartSaid): void;
}

/** What must be settled before hands do all of these. */
function needOfRepairs(ids: readonly string[], repairs: readonly Repair[]) {
  return needOf(repairs.filter(({ id }) => ids.includes(id)).flatMap(repairTouches));
}

/** One tap: done; where a part protects, the tap says as well whether it is of the same rating and kind. */
function Done({ asksPart, isBusy, isLoud, onDone }: DoneButtonProps) {
  const look = isLoud ? "btn btn-primary btn-loud" : "btn btn-outline";
  if (!asksPart)
    return (
      <button type="button" className={look} disabled={isBusy} onClick={() => onDone(undefined)}>
        It is done
      </button>
    );
  return (
    <>
      <button type="button" className={look} disabled={isBusy} onClick={() => onDone("same")}>
        Done: same rating and kind
      </button>
      <button
        type="button"
        className="btn btn-outline"
        disabled={isBusy}
        onClick={() => onDone("not-checked")}
      >
        Done, not checked
      </button>
    </>
  );
}

/** Something else was done than what was decided: the choice of what. */
function Other({ repairs, isBusy, asksPart, onDone }: OtherProps) {
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
      <Done
        asksPart={asksPart([id])}
        isBusy={isBusy || id === ""}
        isLoud={false}
        onDone={(said) => onDone(id, said)}
      />
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
  const { ref } = useAnchored("repair");
  const isDone = isRepairDone(job);
  const [saidPart, setSaidPart] = useState<PartSaid>(undefined);
  const keep = async (ids: readonly string[], said: PartSaid, taken: Taken): Promise<void> => {
    for (const repair of ids) {
      const payload = said === undefined ? { repair, taken } : { repair, part: said, taken };
      if (!(await post({ kind: "intervention", stage: "put-back", payload }))) return;
    }
    setPending([]);
    setIsOther(false);
  };
  const done = (ids: readonly string[], said: PartSaid): void => {
    setSaidPart(said);
    if (screen.taken(needOfRepairs(ids, repairs)) === "now") void keep(ids, said, "now");
    else setPending(ids);
  };
  const asksPart = (ids: readonly string[]): boolean =>
    repairs.some(
      (repair) => ids.includes(repair.id) && fitsProtectivePart(repair) && !isMatched(repair, job),
    );
  const wanted = decision && !isDone ? decision.repairs : [];
  const part = job.parts.at(-1);
  return (
    <section ref={ref} aria-label="The repair" className={wanted.length > 0 ? "move px-5 py-4" : "py-1"}>
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
            <Done asksPart={asksPart(wanted)} isBusy={isBusy} isLoud onDone={(said) => done(wanted, said)} />
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
          <Other
            repairs={repairs}
            isBusy={isBusy}
            asksPart={asksPart}
            onDone={(id, said) => done([id], said)}
          />
        </div>
      ) : null}
      {pending.length > 0 ? (
        <BenchGate
          screen={screen}
          stage="put-back"
          need={needOfRepairs(pending, repairs)}
          about={`"${stepLabel(pending, repairs)}" as done`}
          late="It was done before: keep it"
          onSettled={() => keep(pending, saidPart, "now")}
          onAfterwards={() => keep(pending, saidPart, "afterwards")}
        />
      ) : null}
      <Problem text={problem} />
    </section>
  );
}
