import { useEffect, useRef, useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/reduce";
import type { Stage } from "@/core/job/stages";
import { parseMoney } from "@/core/quantity/money";
import type { Shop } from "@/core/shop/shop";
import { Field } from "../fields/Field";
import { Message } from "../fields/Message";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { type Posted, postEntry } from "../state/post-entry";
import { askMessage } from "../words/messages";
import { onKey } from "./keys";

type Form = "note" | "owner" | "again" | "timer" | "time";

interface LedgerDraft {
  readonly note: string;
  readonly question: string;
  readonly means: string;
  readonly answer: string;
  readonly price: string;
  readonly byDay: string;
  readonly spent: string;
  readonly why: string;
  readonly what: string;
  readonly onDay: string;
  readonly condition: string;
  readonly timer: string;
  readonly minutes: string;
}

const EMPTY: LedgerDraft = {
  note: "",
  question: "",
  means: "telephone",
  answer: "asked",
  price: "",
  byDay: "",
  spent: "",
  why: "",
  what: "",
  onDay: "",
  condition: "",
  timer: "cool-down",
  minutes: "30",
};

function postedBy(form: Form, draft: LedgerDraft, stage: Stage, priceMinor: number | null): Posted {
  switch (form) {
    case "note":
      return { kind: "note", stage, payload: { text: draft.note } };
    case "owner":
      return {
        kind: "owner-answer",
        stage,
        payload: {
          question: draft.question,
          answer: draft.answer,
          means: draft.means,
          priceMinor,
          ...(draft.answer === "asked" && draft.byDay !== "" ? { byDay: draft.byDay } : {}),
        },
      };
    case "again":
      return {
        kind: "follow-up",
        stage,
        payload: {
          ...EMPTY_FOLLOW_UP_FACTS,
          what: draft.what,
          onDay: draft.onDay === "" ? null : draft.onDay,
          condition: draft.condition,
        },
      };
    case "time":
      return {
        kind: "time-spent",
        stage,
        payload: {
          seconds: Math.round(Number(draft.spent.replace(",", ".")) * 60),
          how: "typed",
          why: draft.why,
        },
      };
    case "timer":
      return {
        kind: "timer-started",
        stage,
        payload: { what: draft.timer, seconds: Math.round(Number(draft.minutes) * 60) },
      };
  }
}

interface FieldsProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly draft: LedgerDraft;
  set(change: Partial<LedgerDraft>): void;
}

function NoteFields({ draft, set }: FieldsProps) {
  const field = useRef<HTMLTextAreaElement>(null);
  useEffect(() => field.current?.focus(), []);
  return (
    <Field label="Note" className="grow">
      {(ids) => (
        <textarea
          {...ids}
          ref={field}
          className="textarea"
          rows={2}
          value={draft.note}
          onChange={(event) => set({ note: event.target.value })}
        />
      )}
    </Field>
  );
}

function OwnerFields({ job, shop, draft, set }: FieldsProps) {
  const { currency } = shop.settings;
  const price = draft.price.trim() === "" ? undefined : parseMoney(draft.price, currency, "Price");
  const message = askMessage(
    { jobId: job.jobId, machine: job.takenIn?.machine ?? "" },
    { question: draft.question, priceMinor: price?.ok ? price.value : null, byDay: draft.byDay },
    shop.settings,
  );
  return (
    <>
      <Field label="What to ask the owner" className="grow">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={draft.question}
            onChange={(event) => set({ question: event.target.value })}
          />
        )}
      </Field>
      <Field label="It was">
        {(ids) => (
          <select
            {...ids}
            className="select"
            value={draft.answer}
            onChange={(event) => set({ answer: event.target.value })}
          >
            <option value="asked">asked, not answered yet</option>
            <option value="yes">answered yes</option>
            <option value="no">answered no</option>
          </select>
        )}
      </Field>
      <Field label="By">
        {(ids) => (
          <select
            {...ids}
            className="select"
            value={draft.means}
            onChange={(event) => set({ means: event.target.value })}
          >
            {["telephone", "message", "counter", "letter"].map((means) => (
              <option key={means}>{means}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label={`It comes to, ${currency}`} className="w-36">
        {(ids) => (
          <input
            {...ids}
            className="input num"
            inputMode="decimal"
            value={draft.price}
            onChange={(event) => set({ price: event.target.value })}
          />
        )}
      </Field>
      {draft.answer === "asked" ? (
        <Field label="Answer by">
          {(ids) => (
            <input
              {...ids}
              type="date"
              className="input"
              value={draft.byDay}
              onChange={(event) => set({ byDay: event.target.value })}
            />
          )}
        </Field>
      ) : null}
      <Message label="To send, as it is" text={message} />
    </>
  );
}

function AgainFields({ draft, set }: FieldsProps) {
  return (
    <>
      <Field label="What to look at again" className="grow">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={draft.what}
            onChange={(event) => set({ what: event.target.value })}
          />
        )}
      </Field>
      <Field label="Day">
        {(ids) => (
          <input
            {...ids}
            type="date"
            className="input"
            value={draft.onDay}
            onChange={(event) => set({ onDay: event.target.value })}
          />
        )}
      </Field>
      <Field label="Only when">
        {(ids) => (
          <input
            {...ids}
            className="input"
            placeholder="below 4 °C"
            value={draft.condition}
            onChange={(event) => set({ condition: event.target.value })}
          />
        )}
      </Field>
    </>
  );
}

function TimerFields({ draft, set }: FieldsProps) {
  return (
    <>
      <Field label="Timer for">
        {(ids) => (
          <select
            {...ids}
            className="select"
            value={draft.timer}
            onChange={(event) => set({ timer: event.target.value })}
          >
            <option value="cool-down">cooling down</option>
            <option value="drain">draining</option>
          </select>
        )}
      </Field>
      <Field label="Minutes">
        {(ids) => (
          <input
            {...ids}
            className="input"
            inputMode="numeric"
            value={draft.minutes}
            onChange={(event) => set({ minutes: event.target.value })}
          />
        )}
      </Field>
    </>
  );
}

/** Correcting the counted minutes: more, or fewer with a minus. */
function TimeFields({ job, draft, set }: FieldsProps) {
  return (
    <>
      <Field
        label="Minutes to add"
        hint={`${Math.floor(job.secondsSpent / 60)} min are in the log; -10 takes ten off.`}
      >
        {(ids) => (
          <input
            {...ids}
            className="input num"
            value={draft.spent}
            onChange={(event) => set({ spent: event.target.value })}
          />
        )}
      </Field>
      <Field label="Why" className="grow">
        {(ids) => (
          <input
            {...ids}
            className="input"
            value={draft.why}
            onChange={(event) => set({ why: event.target.value })}
          />
        )}
      </Field>
    </>
  );
}

const FORMS: readonly {
  readonly id: Form;
  readonly label: string;
  readonly Fields: (props: FieldsProps) => React.JSX.Element;
}[] = [
  { id: "note", label: "Note", Fields: NoteFields },
  { id: "owner", label: "Ask owner", Fields: OwnerFields },
  { id: "again", label: "Look again", Fields: AgainFields },
  { id: "timer", label: "Timer", Fields: TimerFields },
  { id: "time", label: "Minutes", Fields: TimeFields },
];

interface LedgerProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly stage: Stage;
}

/** Notes, questions to the owner, dated looks and timers: a few words, kept as they are typed. */
export function LedgerForms({ job, shop, stage }: LedgerProps) {
  const isAwake = useAwake();
  const [form, setForm] = useState<Form | undefined>(undefined);
  useEffect(
    () =>
      onKey("n", (event) => {
        event.preventDefault();
        setForm("note");
      }),
    [],
  );
  if (!isAwake) return null;
  return (
    <>
      <div className="flex flex-wrap gap-2">
        {FORMS.map(({ id, label }) => (
          <button
            key={id}
            type="button"
            className="btn btn-outline"
            aria-expanded={form === id}
            onClick={() => setForm(form === id ? undefined : id)}
          >
            {label}{" "}
            {id === "note" ? (
              <span aria-hidden="true" className="key key-hint hidden md:inline">
                n
              </span>
            ) : null}
          </button>
        ))}
      </div>
      {form ? (
        <LedgerForm
          key={form}
          job={job}
          shop={shop}
          stage={stage}
          form={form}
          onDone={() => setForm(undefined)}
        />
      ) : null}
    </>
  );
}

function LedgerForm({
  job,
  shop,
  stage,
  form,
  onDone,
}: LedgerProps & {
  readonly form: Form;
  onDone(): void;
}) {
  const [draft, setDraft, clear] = useDraft<LedgerDraft>(`ledger:${job.jobId}`, EMPTY);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const { Fields } = FORMS.find(({ id }) => id === form) ?? { Fields: NoteFields };
  const keep = async (): Promise<void> => {
    const isPriced = form === "owner" && draft.price.trim() !== "";
    const price = isPriced ? parseMoney(draft.price, shop.settings.currency, "Price") : undefined;
    if (price && !price.ok) return setProblem(price.issues.map(({ message }) => message).join(" "));
    const kept = await postEntry(job.jobId, postedBy(form, draft, stage, price ? price.value : null));
    if (!kept.ok) return setProblem(kept.issues.map(({ message }) => message).join(" "));
    clear();
    onDone();
  };
  return (
    <form
      className="sheet flex w-full flex-wrap items-end gap-3 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Fields job={job} shop={shop} draft={draft} set={(change) => setDraft({ ...draft, ...change })} />
      <button type="submit" className="btn btn-primary">
        Keep
      </button>
      {problem ? (
        <p role="alert" className="w-full font-semibold text-oxide">
          {problem}
        </p>
      ) : null}
    </form>
  );
}
