import { addDays, addMonths, format } from "date-fns";
import { useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { FollowUp } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import type { Promised } from "@/core/job/reassembly/reassembly";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { dayIn, formatDay } from "@/core/quantity/format";
import type { Shop } from "@/core/shop/shop";
import { promiseWords } from "@/words/put-back";
import { Field } from "../fields/Field";
import { Problem } from "../fields/Problem";
import { useDraft } from "../state/draft";
import { usePost } from "../state/use-post";

interface Draft {
  readonly what: string;
  readonly onDay: string;
  readonly belowCelsius: string;
  readonly afterHours: string;
}

const EMPTY: Draft = { what: "", onDay: "", belowCelsius: "", afterHours: "" };

/** What each gap in the proof asks to be looked at later, and when. */
const ASKS: ReadonlyMap<string, Partial<Draft>> = new Map(
  Object.entries<Partial<Draft>>({
    "condition-cold": { what: "Run it cold, as the complaint comes", belowCelsius: "12" },
    "condition-hot": { what: "Run it hot, as the complaint comes" },
    "condition-loaded": { what: "Run it under load, as the complaint comes" },
    "condition-after-minutes": { what: "Run it as long as the complaint takes to come" },
    "condition-wet": { what: "Ask the owner after the next wet work or rain", afterHours: "20" },
    "condition-sometimes": { what: "Ask the owner whether it came back", afterHours: "20" },
    temporary: { what: "Take the temporary part out again" },
  }),
);

/** Whether something that is not proven can be looked at later: then that is asked before signing. */
export function asksLater(unproven: readonly string[]): boolean {
  return unproven.some((code) => ASKS.has(code));
}

function numberOrNull(typed: string): number | null {
  return typed.trim() === "" ? null : Number(typed.replace(",", "."));
}

/** Days from today in the shop's own zone, by one tap. */
function soon(shop: Shop): readonly { readonly label: string; readonly day: string }[] {
  const today = new Date(`${dayIn(shop.now, shop.settings.zone)}T12:00:00`);
  const on = (date: Date): string => format(date, "yyyy-MM-dd");
  return [
    { label: "In a week", day: on(addDays(today, 7)) },
    { label: "In a month", day: on(addMonths(today, 1)) },
    { label: "In three months", day: on(addMonths(today, 3)) },
  ];
}

function Fields({
  draft,
  set,
  shop,
}: {
  readonly draft: Draft;
  set(change: Partial<Draft>): void;
  readonly shop: Shop;
}) {
  const field = (key: keyof Draft, label: string, type = "text") => (
    <Field label={label}>
      {(ids) => (
        <input
          {...ids}
          type={type}
          className={`input ${key === "what" ? "" : "num"}`}
          value={draft[key]}
          onChange={(event) => set({ [key]: event.target.value })}
        />
      )}
    </Field>
  );
  return (
    <>
      {field("what", "What to look at again")}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <div className="w-44">{field("onDay", "On the day", "date")}</div>
        {soon(shop).map(({ label, day }) => (
          <button
            key={day}
            type="button"
            className="btn btn-outline"
            title={formatDay(day)}
            onClick={() => set({ onDay: day })}
          >
            {label}
          </button>
        ))}
        <div className="w-32">{field("belowCelsius", "Below, °C")}</div>
        <div className="w-36">{field("afterHours", "After hours run")}</div>
      </div>
    </>
  );
}

const RESULTS = [
  { result: "good", label: "Still good" },
  { result: "came-back", label: "It came back" },
  { result: "let-go", label: "Let it go" },
] as const;

function Line({ job, promise }: { readonly job: JobView; readonly promise: Promised }) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const said = promise.done;
  return (
    <li className="flex flex-wrap items-center gap-2 border-rule border-t py-1.5">
      <span className={`min-w-0 flex-1 basis-64 ${said ? "text-soft line-through" : ""}`}>
        {promiseWords(promise)}
      </span>
      {said
        ? null
        : RESULTS.map(({ result, label }) => (
            <button
              key={result}
              type="button"
              className="btn btn-outline"
              disabled={isBusy}
              onClick={() =>
                void post({
                  kind: "followed-up",
                  stage: "sign-off",
                  payload: { line: promise.seq, result, words: "" },
                })
              }
            >
              {label}
            </button>
          ))}
      <Problem text={problem} />
    </li>
  );
}

/** What is to be looked at again, with its day and its condition, and as a file for any calendar. */
export function Promises({ job, shop }: { readonly job: JobView; readonly shop: Shop }) {
  const [draft, setDraft, clear] = useDraft<Draft>(`promise:${job.jobId}`, EMPTY);
  const [about, setAbout] = useState<FollowUp["about"]>("look-again");
  const { post, problem, isBusy } = usePost(job.jobId);
  const set = (change: Partial<Draft>): void => setDraft({ ...draft, ...change });
  const { unproven } = signOffWord(job, shop);
  const asks = unproven.flatMap((code) => {
    const ask = ASKS.get(code);
    return ask ? [{ code, ask }] : [];
  });
  const keep = async (): Promise<void> => {
    const payload = {
      ...EMPTY_FOLLOW_UP_FACTS,
      about,
      what: draft.what,
      onDay: draft.onDay === "" ? null : draft.onDay,
      belowCelsius: numberOrNull(draft.belowCelsius),
      afterHours: numberOrNull(draft.afterHours),
    };
    if (await post({ kind: "follow-up", stage: "sign-off", payload })) clear();
  };
  const dated = job.followUps.filter(({ onDay, done }) => onDay !== null && done === null);
  return (
    <>
      <ul>
        {job.followUps.map((promise) => (
          <Line key={promise.seq} job={job} promise={promise} />
        ))}
      </ul>
      {dated.length > 0 ? (
        <a className="btn btn-outline my-2" href={`/jobs/${job.jobId}/calendar.ics`} download>
          Calendar file, {dated.length} {dated.length === 1 ? "day" : "days"}
        </a>
      ) : null}
      {asks.map(({ code, ask }) => (
        <button
          key={code}
          type="button"
          className="btn btn-outline mr-2 mb-2"
          onClick={() => {
            setAbout(code === "temporary" ? "temporary-part" : "look-again");
            set(ask);
          }}
        >
          {ask.what}
        </button>
      ))}
      <form
        aria-label="Look again"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <Fields draft={draft} set={set} shop={shop} />
        <button type="submit" className="btn btn-outline mt-3" disabled={isBusy}>
          Put it down
        </button>
      </form>
      <Problem text={problem} />
    </>
  );
}
