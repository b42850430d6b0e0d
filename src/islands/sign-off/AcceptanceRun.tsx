import type { AcceptanceRun as Run } from "@/core/job/entry";
import { isWhole } from "@/core/job/put-back";
import type { JobView } from "@/core/job/reduce";
import { conditionTried } from "@/core/job/sign-off";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { inSentence } from "../words/in-sentence";
import { RUN_RESULT, RUN_WORDS, UNPROVEN_WORDS } from "../words/runs";

interface Draft {
  readonly circumstance: Run["circumstance"] | "";
  readonly minutes: string;
  readonly words: string;
  readonly before: string;
  readonly after: string;
}

const EMPTY: Draft = { circumstance: "", minutes: "", words: "", before: "", after: "" };
const CIRCUMSTANCES = (["cold", "hot", "loaded", "idle"] as const).map((value) => {
  const label = RUN_WORDS[value];
  return { value, label: `${label.charAt(0).toUpperCase()}${label.slice(1)}` };
});
const RESULTS = ["gone", "still-there", "stopped"] as const;

const COMES: Readonly<Record<string, string>> = {
  always: "every time",
  cold: "cold",
  hot: "hot",
  "after-minutes": "after a while",
  loaded: "under load",
  sometimes: "only sometimes",
  "not-known": "at a moment nobody knows",
};

function runOf(draft: Draft): Run {
  return {
    circumstance: draft.circumstance === "" ? "idle" : draft.circumstance,
    minutes: Number(draft.minutes.replace(",", ".")),
    result: "gone",
    words: draft.words,
    figures:
      draft.before.trim() === "" && draft.after.trim() === ""
        ? []
        : [{ quantity: "current", before: draft.before.trim(), after: draft.after.trim() }],
    outlet: "not-said",
    taken: "now",
  };
}

/** What this run would leave unproven, before it is made. */
function Lacking({ job, draft }: { readonly job: JobView; readonly draft: Draft }) {
  if (draft.circumstance === "" || draft.minutes.trim() === "") return null;
  const lacking = conditionTried(job.complaint, runOf(draft));
  return lacking === undefined ? null : (
    <p className="mt-2 font-semibold text-brass">
      Even if it runs well: {inSentence(UNPROVEN_WORDS[lacking] ?? lacking)}.
    </p>
  );
}

function Blocked({ job }: { readonly job: JobView }) {
  return (
    <div role="alert" className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-2">
      <p className="bg-paper px-3 py-2">
        <b>Covers on before power.</b>{" "}
        <a
          className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          href={`/jobs/${job.jobId}/put-back`}
        >
          Put back what is off
        </a>
        . A run that was made already can be kept as entered afterwards.
      </p>
    </div>
  );
}

/** The run that shows whether the complaint is gone, made as the complaint comes. */
export function AcceptanceRun({ job }: { readonly job: JobView }) {
  const [draft, setDraft, clear] = useDraft<Draft>(`run:${job.jobId}`, EMPTY);
  const { post, problem, isBusy } = usePost(job.jobId);
  const set = (change: Partial<Draft>): void => setDraft({ ...draft, ...change });
  const isBlocked = !isWhole(job);
  const keep = async (result: Run["result"]): Promise<void> => {
    const run = { ...runOf(draft), result, taken: isBlocked ? "afterwards" : "now" };
    const payload = { ...run, circumstance: draft.circumstance };
    if (await post({ kind: "acceptance-run", stage: "sign-off", payload })) clear();
  };
  const input = (key: "minutes" | "words" | "before" | "after", label: string, isNumber = false) => (
    <Field label={label}>
      {(ids) => (
        <input
          {...ids}
          className={`input ${isNumber ? "num" : ""}`}
          value={draft[key]}
          onChange={(event) => set({ [key]: event.target.value })}
        />
      )}
    </Field>
  );
  return (
    <>
      {isBlocked ? <Blocked job={job} /> : null}
      <p className="mb-3">
        The complaint comes <b>{COMES[job.complaint?.circumstance ?? "not-known"]}</b>
        {job.complaint?.words ? `: “${job.complaint.words}”` : "."} Plug into a residual-current-protected
        outlet, guards on, hands off. A start that stalls: 3 s on, 60 s off, two tries.
      </p>
      <Choices<Run["circumstance"]>
        legend="It was run"
        name="circumstance"
        choices={CIRCUMSTANCES}
        value={draft.circumstance === "" ? undefined : draft.circumstance}
        onChoose={(circumstance) => set({ circumstance })}
      />
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        {input("minutes", "For how many minutes", true)}
        {input("before", "Amps before the repair", true)}
        {input("after", "Amps now", true)}
      </div>
      <div className="mt-3">{input("words", "What was seen and heard")}</div>
      <Lacking job={job} draft={draft} />
      <div className="mt-3 flex flex-wrap gap-3">
        {RESULTS.map((result) => (
          <button
            key={result}
            type="button"
            className={result === "gone" ? "btn btn-primary btn-bench" : "btn btn-outline btn-bench"}
            disabled={isBusy}
            onClick={() => keep(result)}
          >
            {RUN_RESULT[result].charAt(0).toUpperCase() + RUN_RESULT[result].slice(1)}
          </button>
        ))}
      </div>
      <Problem text={problem} />
    </>
  );
}
