import type { Complaint, AcceptanceRun as Run } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/reduce";
import { isWhole } from "@/core/job/reassembly/put-back";
import { conditionTried } from "@/core/job/sign-off/sign-off";
import { formatDuration } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { inSentence } from "../words/in-sentence";
import { RUN_RESULT, RUN_WORDS, UNPROVEN_WORDS } from "../words/runs";
import { RunFigures } from "./RunFigures";
import { EMPTY_RUN, type RunDraft, runOf } from "./run-draft";

const CIRCUMSTANCES = (["cold", "hot", "loaded", "idle"] as const).map((value) => {
  const label = RUN_WORDS[value];
  return { value, label: `${label.charAt(0).toUpperCase()}${label.slice(1)}` };
});
const RESULTS = ["gone", "still-there", "stopped"] as const;

const COMES: Readonly<Record<Complaint["circumstance"], string>> = {
  always: "every time",
  cold: "cold",
  hot: "hot",
  "after-minutes": "after a while",
  loaded: "under load",
  sometimes: "only sometimes",
  "not-known": "at a moment nobody knows",
};

/** What this run would leave unproven, before it is made. */
function Lacking({ job, draft }: { readonly job: JobView; readonly draft: RunDraft }) {
  if (draft.circumstance === "" || draft.minutes.trim() === "") return null;
  const lacking = conditionTried(job.complaint, runOf(draft));
  return lacking === undefined ? null : (
    <p className="mt-2 font-semibold text-brass">
      Even if it runs well: {inSentence(UNPROVEN_WORDS.get(lacking) ?? lacking)}.
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

const OUTLETS: readonly { readonly value: Run["outlet"]; readonly label: string }[] = [
  { value: "residual-current", label: "Behind an RCD (GFCI)" },
  { value: "other", label: "Another outlet" },
];

interface RunProps {
  readonly job: JobView;
  readonly shop: Shop;
  /** Whether every final test was taken since the last change. */
  readonly isTested: boolean;
}

/** The first time power comes back: guards on, stand clear, behind the device that trips. */
function FirstPower({ job, shop, isTested, draft, set }: RunProps & DraftProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const hasOutlet = shop.settings.kit.includes("residual-current-outlet");
  if (job.bench.plug === "plugged-in" || job.machine.connection === "battery") return null;
  return (
    <div className="mb-3 border-rule border-l-4 pl-4">
      <p>
        <b>First power.</b> Guards and covers on, plug into an outlet behind an RCD (GFCI), stand clear,
        switch on for 3 s. Smoke, a tingle or a trip: plug out, and no second try.
      </p>
      <Choices<Run["outlet"]>
        legend="The outlet is"
        name="outlet"
        choices={OUTLETS}
        value={draft.outlet === "not-said" ? undefined : draft.outlet}
        onChoose={(outlet) => set({ outlet })}
      />
      {hasOutlet ? null : (
        <p className="mt-1 text-soft">
          No such outlet is named among this shop's things: a plug-in one does, bought or borrowed.
        </p>
      )}
      {draft.outlet === "other" ? (
        <p className="mt-1 font-semibold text-brass">
          Without it a fault to the casing is found by whoever touches it. Behind an isolating transformer it
          does not act either.
        </p>
      ) : null}
      {isTested ? (
        <button
          type="button"
          className="btn btn-outline btn-bench mt-2"
          disabled={isBusy || draft.outlet === "not-said"}
          onClick={() =>
            void post({ kind: "bench-state", stage: "sign-off", payload: { event: "plugged-in" } })
          }
        >
          Plugged in, hands off
        </button>
      ) : (
        <p className="mt-2 font-semibold">The final tests come before power.</p>
      )}
      <Problem text={problem} />
    </div>
  );
}

interface DraftProps {
  readonly draft: RunDraft;
  set(change: Partial<RunDraft>): void;
}

/** How long it runs: a timer that rings wherever the repairer is by then. */
function WarmRun({ job, draft }: { readonly job: JobView; readonly draft: RunDraft }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const seconds = Math.round(Number(draft.minutes.replace(",", ".")) * 60);
  if (!(seconds >= 1 && seconds <= 86_400)) return null;
  const payload = { what: "warm-run", seconds };
  return (
    <>
      <button
        type="button"
        className="btn btn-outline mt-3"
        disabled={isBusy}
        onClick={() => void post({ kind: "timer-started", stage: "sign-off", payload })}
      >
        Ring after {formatDuration(seconds)}
      </button>
      <Problem text={problem} />
    </>
  );
}

/** The run that shows whether the complaint is gone, made as the complaint comes. */
export function AcceptanceRun({ job, shop, isTested }: RunProps) {
  const [draft, setDraft, clear] = useDraft<RunDraft>(`acceptance:${job.jobId}`, EMPTY_RUN);
  const { post, problem, isBusy } = usePost(job.jobId);
  const set = (change: Partial<RunDraft>): void => setDraft({ ...draft, ...change });
  const isBlocked = !isWhole(job);
  const keep = async (result: Run["result"]): Promise<void> => {
    const run = { ...runOf(draft), result, taken: isBlocked ? "afterwards" : "now" };
    const payload = { ...run, circumstance: draft.circumstance };
    if (await post({ kind: "acceptance-run", stage: "sign-off", payload })) clear();
  };
  const input = (key: "minutes" | "words", label: string, isNumber = false) => (
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
        {job.complaint?.words ? `: “${job.complaint.words}”` : "."} A start that stalls: 3 s on, 60 s off, two
        tries.
      </p>
      <FirstPower job={job} shop={shop} isTested={isTested} draft={draft} set={set} />
      <Choices<Run["circumstance"]>
        legend="It was run"
        name="circumstance"
        choices={CIRCUMSTANCES}
        value={draft.circumstance === "" ? undefined : draft.circumstance}
        onChoose={(circumstance) => set({ circumstance })}
      />
      <div className="mt-3 grid gap-3 sm:grid-cols-[180px_minmax(0,1fr)]">
        {input("minutes", "For how many minutes", true)}
        {input("words", "What was seen and heard")}
      </div>
      <WarmRun job={job} draft={draft} />
      <RunFigures draft={draft} set={set} />
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
