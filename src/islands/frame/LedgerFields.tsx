import { useEffect, useRef } from "react";
import type { JobView } from "@/core/job/log/view";
import { parseMoney } from "@/core/quantity/money";
import type { Shop } from "@/core/shop/shop";
import { askMessage } from "@/words/messages";
import { Field } from "../fields/Field";
import { Message } from "../fields/Message";

/** What is typed in the small forms, kept on the device until it is a line. */
export interface LedgerDraft {
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

export interface FieldsProps {
  readonly job: JobView;
  readonly shop: Shop;
  readonly draft: LedgerDraft;
  set(change: Partial<LedgerDraft>): void;
}

export function NoteFields({ draft, set }: FieldsProps) {
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

export function OwnerFields({ job, shop, draft, set }: FieldsProps) {
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

export function AgainFields({ draft, set }: FieldsProps) {
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

export function TimerFields({ draft, set }: FieldsProps) {
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
export function TimeFields({ job, draft, set }: FieldsProps) {
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
