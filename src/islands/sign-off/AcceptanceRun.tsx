import type { Complaint, AcceptanceRun as Run } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { conditionTried } from "@/core/job/sign-off/sign-off";
import { formatDuration } from "@/core/quantity/format";
import { openDangers } from "@/core/safety/dangers/danger";
import type { LiveGap } from "@/core/safety/live-work";
import type { Shop } from "@/core/shop/shop";
import { LIVE_GAP_WORDS } from "@/words/gaps";
import { inSentence } from "@/words/in-sentence";
import { RUN_RESULT, RUN_WORDS, UNPROVEN_WORDS } from "@/words/runs";
import { Choices } from "../fields/Choices";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { ClipsOff } from "../frame/ClipsOff";
import { GapLink } from "../frame/GapLink";
import { Incident } from "../frame/Incident";
import { PlugIn } from "../frame/PlugIn";
import type { JobScreen } from "../frame/use-job-screen";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";
import { RunClock } from "./RunClock";
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
  wet: "when it is wet",
  sometimes: "only sometimes",
  "not-known": "at a moment nobody knows",
};

/** What this run would leave unproven, before it is made. */
function Lacking({
  job,
  draft,
  shop,
}: {
  readonly job: JobView;
  readonly draft: RunDraft;
  readonly shop: Shop;
}) {
  if (draft.circumstance === "" || draft.minutes.trim() === "") return null;
  const lacking = conditionTried(job.told, [runOf(draft)], shop.limits);
  return lacking === undefined ? null : (
    <p className="mt-2 font-semibold text-brass">
      Even if it runs well: {inSentence(UNPROVEN_WORDS.get(lacking) ?? lacking)}.
    </p>
  );
}

/** What is missing before power, the hardest first, and where it is done. */
function Blocked({ job, gaps }: { readonly job: JobView; readonly gaps: readonly LiveGap[] }) {
  const [first] = gaps;
  if (first === undefined) return null;
  const { what, how } = LIVE_GAP_WORDS[first];
  return (
    <div role="alert" className="hatched mb-3 rounded-[3px] border-[1.5px] border-ink p-2">
      <div className="bg-paper px-3 py-2">
        <b>{what}</b> {how} {first === "clip" ? <ClipsOff job={job} stage="sign-off" /> : null}
        {first === "dead-checks" || first === "clip" ? null : (
          <GapLink
            gap={first}
            jobId={job.jobId}
            className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
          />
        )}{" "}
        A run that was made already can be kept as entered afterwards: it never counts for “repaired”.
      </div>
    </div>
  );
}

const AT_THE_OUTLET: readonly LiveGap[] = ["outlet", "fixed-outlet"];

interface RunProps {
  readonly screen: JobScreen;
  readonly shop: Shop;
}

/** The first time power comes back: guards on, stand clear, behind the device that trips. */
function FirstPower({ screen, shop }: RunProps) {
  const { job } = screen;
  const gaps = screen.liveGaps("guards-on");
  if (job.machine.connection === "battery" || gaps.length === 0) return null;
  const isNext = gaps.every((gap) => AT_THE_OUTLET.includes(gap));
  return (
    <div className="mb-3 border-rule border-l-4 pl-4">
      <p className="mb-2">
        <b>First power.</b> Guards and covers on, plug into an outlet behind an RCD (GFCI), stand clear,
        switch on for 3 s. Smoke, a tingle or a trip: plug out, and no second try.
      </p>
      {isNext ? (
        <PlugIn job={job} stage="sign-off" outletName={shop.settings.residualOutlet} />
      ) : (
        <p className="font-semibold">What is missing above comes before power.</p>
      )}
    </div>
  );
}

const WAYS = [
  { value: "right", label: "The right way" },
  { value: "wrong", label: "The wrong way" },
] as const;

/** Which way it turns, asked once a motor was fitted or its leads worked on. */
function WhichWay({
  job,
  turns,
  onSay,
}: {
  readonly job: JobView;
  readonly turns: Run["turns"];
  onSay(turns: Run["turns"]): void;
}) {
  const isAsked = openDangers(job.live.dangers).some(({ test }) => test === "turns");
  return isAsked ? (
    <div className="mt-3">
      <Choices<Run["turns"]>
        legend="Which way it turns, by its arrow or its work"
        name="turns"
        choices={WAYS}
        value={turns === "not-said" ? undefined : turns}
        onChoose={onSay}
      />
    </div>
  ) : null;
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
export function AcceptanceRun({ screen, shop }: RunProps) {
  const { job } = screen;
  const [draft, setDraft, clear] = useDraft<RunDraft>(`acceptance:${job.jobId}`, EMPTY_RUN);
  const { post, problem, isBusy } = usePost(job.jobId);
  const set = (change: Partial<RunDraft>): void => setDraft({ ...draft, ...change });
  const gaps = screen.liveGaps("guards-on");
  const outlet = job.bench.outlet ?? "not-said";
  const keep = async (result: Run["result"]): Promise<void> => {
    const run = { ...runOf(draft), result, outlet, taken: gaps.length > 0 ? "afterwards" : "now" };
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
      <Blocked job={job} gaps={gaps.filter((gap) => !AT_THE_OUTLET.includes(gap))} />
      <p className="mb-3">
        The complaint comes <b>{COMES[job.complaint?.circumstance ?? "not-known"]}</b>
        {job.complaint?.words ? `: “${job.complaint.words}”` : "."} A start that stalls: 3 s on, 60 s off, two
        tries.
      </p>
      <FirstPower screen={screen} shop={shop} />
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
      <RunFigures job={job} limits={shop.limits} draft={draft} set={set} />
      <WhichWay job={job} turns={draft.turns} onSay={(turns) => set({ turns })} />
      <Lacking job={job} draft={draft} shop={shop} />
      {gaps.length === 0 ? <RunClock job={job} minutes={runOf(draft).minutes} now={screen.now} /> : null}
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
      <Incident job={job} stage="sign-off" />
      <Problem text={problem} />
    </>
  );
}
