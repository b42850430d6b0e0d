import { useEffect, useState } from "react";
import { EMPTY_FOLLOW_UP_FACTS } from "@/core/job/log/empty-facts";
import type { JobView } from "@/core/job/log/view";
import type { Stage } from "@/core/job/stages";
import { parseMoney } from "@/core/quantity/money";
import type { Shop } from "@/core/shop/shop";
import { useAwake } from "../state/awake";
import { useDraft } from "../state/draft";
import { type Posted, postEntry } from "../state/post-entry";
import { onKey } from "./keys";
import {
  AgainFields,
  type FieldsProps,
  type LedgerDraft,
  NoteFields,
  OwnerFields,
  TimeFields,
  TimerFields,
} from "./LedgerFields";

type Form = "note" | "owner" | "again" | "timer" | "time";

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
