import { useState } from "react";
import type { Said } from "@/core/decision/figures";
import type { JobView } from "@/core/job/log/view";
import { formatMoney, minorDigits } from "@/core/quantity/format";
import { parseMoneyRange } from "@/core/quantity/money";
import { Field } from "../fields/Field";
import { usePost } from "../state/use-post";

interface PriceProps {
  readonly job: JobView;
  readonly currency: string;
  readonly of: string;
  readonly label: string;
  /** What is reckoned with where nobody has said: nothing where it is not reckoned with then. */
  readonly usualMinor: number | undefined;
  readonly hint?: string | undefined;
}

function shownOf(said: Said | undefined, currency: string): string {
  if (!said) return "";
  const digits = minorDigits(currency);
  const plain = (minor: number): string => (minor / 10 ** digits).toFixed(digits);
  return said.low === null && said.high === null
    ? plain(said.minor)
    : [said.low ?? said.minor, said.minor, said.high ?? said.minor].map(plain).join(" / ");
}

/** A figure of the job, typed only to correct: one amount, or the lowest and the highest. */
export function Price({ job, currency, of, label, usualMinor, hint }: PriceProps) {
  const said = job.said[of];
  const [text, setText] = useState(shownOf(said, currency));
  const [wrong, setWrong] = useState<string | undefined>(undefined);
  const { post, problem, isBusy } = usePost(job.jobId);
  const keep = async (): Promise<void> => {
    const parsed = parseMoneyRange(text, currency, label);
    setWrong(parsed.ok ? undefined : parsed.issues[0]?.message);
    if (parsed.ok) await post({ kind: "priced", stage: "decide", payload: { of, ...parsed.value } });
  };
  const assumed = said
    ? ""
    : usualMinor === undefined
      ? "Not reckoned with. "
      : `Assumed ${formatMoney(Math.round(usualMinor), currency)}. `;
  return (
    <form
      className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-2"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Field label={`${label}, ${currency}`} hint={`${assumed}${hint ?? ""}`} error={wrong ?? problem}>
        {(ids) => (
          <input
            {...ids}
            className="input num"
            inputMode="decimal"
            value={text}
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
