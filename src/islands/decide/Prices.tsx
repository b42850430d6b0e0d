import { useState } from "react";
import type { JobView } from "@/core/job/log/reduce";
import { formatMoney, minorDigits } from "@/core/quantity/format";
import { parseMoney } from "@/core/quantity/money";
import { Field } from "../fields/Field";
import { usePost } from "../state/use-post";

interface PriceProps {
  readonly job: JobView;
  readonly currency: string;
  readonly of: string;
  readonly label: string;
  readonly minor: number;
  readonly isAssumed: boolean;
  readonly flips: string | undefined;
}

/** A price that decides, and the figure at which the answer flips. */
export function Price({ job, currency, of, label, minor, isAssumed, flips }: PriceProps) {
  const shown = (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency));
  const [text, setText] = useState(isAssumed ? "" : shown);
  const [wrong, setWrong] = useState<string | undefined>(undefined);
  const { post, problem, isBusy } = usePost(job.jobId);
  const keep = async (): Promise<void> => {
    const parsed = parseMoney(text, currency, label);
    setWrong(parsed.ok ? undefined : parsed.issues[0]?.message);
    if (parsed.ok) await post({ kind: "priced", stage: "decide", payload: { of, minor: parsed.value } });
  };
  return (
    <form
      className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-2"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Field
        label={`${label}, ${currency}`}
        hint={`${isAssumed ? `Assumed ${formatMoney(minor, currency)}. ` : ""}${flips ?? ""}`}
        error={wrong ?? problem}
      >
        {(ids) => (
          <input
            {...ids}
            className="input num"
            inputMode="decimal"
            value={text}
            placeholder={isAssumed ? shown : ""}
            onChange={(event) => {
              setWrong(undefined);
              setText(event.target.value);
            }}
          />
        )}
      </Field>
      <button type="submit" className="btn btn-outline mt-[26px]" disabled={isBusy}>
        Set
      </button>
    </form>
  );
}
