import { useEffect, useRef, useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/reduce";
import type { Stage } from "@/core/job/stages";
import { Field } from "../fields/Field";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { type Posted, postEntry } from "../state/post-entry";
import { onKey } from "./keys";

type Form = "note" | "owner" | "again" | "timer";

interface LedgerDraft {
  readonly note: string;
  readonly question: string;
  readonly means: string;
  readonly answer: string;
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
  what: "",
  onDay: "",
  condition: "",
  timer: "cool-down",
  minutes: "30",
};

function postedBy(form: Form, draft: LedgerDraft, stage: Stage): Posted {
  switch (form) {
    case "note":
      return { kind: "note", stage, payload: { text: draft.note } };
    case "owner":
      return {
        kind: "owner-answer",
        stage,
        payload: { question: draft.question, answer: draft.answer, means: draft.means },
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
    case "timer":
      return {
        kind: "timer-started",
        stage,
        payload: { what: draft.timer, seconds: Math.round(Number(draft.minutes) * 60) },
      };
  }
}

interface FieldsProps {
  readonly form: Form;
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

function OwnerFields({ draft, set }: FieldsProps) {
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
            <option value="asked">asked</option>
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

const FORMS: readonly {
  readonly id: Form;
  readonly label: string;
  readonly Fields: (props: FieldsProps) => React.JSX.Element;
}[] = [
  { id: "note", label: "Note", Fields: NoteFields },
  { id: "owner", label: "Ask owner", Fields: OwnerFields },
  { id: "again", label: "Look again", Fields: AgainFields },
  { id: "timer", label: "Timer", Fields: TimerFields },
];

function OpenQuestions({ job, stage }: { readonly job: JobView; readonly stage: Stage }) {
  return job.questions.map(({ question, means, seq }) => (
    <p key={seq} className="flex w-full flex-wrap items-center gap-2">
      <span className="grow">Owner was asked: {question}</span>
      {(["yes", "no"] as const).map((answer) => (
        <button
          key={answer}
          type="button"
          className="btn btn-outline"
          onClick={() =>
            postEntry(job.jobId, { kind: "owner-answer", stage, payload: { question, answer, means } })
          }
        >
          Said {answer}
        </button>
      ))}
    </p>
  ));
}

/** Notes, questions to the owner, dated looks and timers: a few words, kept as they are typed. */
export function LedgerForms({ job, stage }: { readonly job: JobView; readonly stage: Stage }) {
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
            {label}
          </button>
        ))}
      </div>
      {form ? (
        <LedgerForm key={form} job={job} stage={stage} form={form} onDone={() => setForm(undefined)} />
      ) : null}
      <OpenQuestions job={job} stage={stage} />
    </>
  );
}

function LedgerForm({
  job,
  stage,
  form,
  onDone,
}: {
  readonly job: JobView;
  readonly stage: Stage;
  readonly form: Form;
  onDone(): void;
}) {
  const [draft, setDraft, clear] = useDraft<LedgerDraft>(`ledger:${job.jobId}`, EMPTY);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const { Fields } = FORMS.find(({ id }) => id === form) ?? { Fields: NoteFields };
  const keep = async (): Promise<void> => {
    const kept = await postEntry(job.jobId, postedBy(form, draft, stage));
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
      <Fields form={form} draft={draft} set={(change) => setDraft({ ...draft, ...change })} />
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
