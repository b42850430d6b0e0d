import type { JobView } from "@/core/job/log/reduce";
import type { Asked } from "@/core/matching/asked.input";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { placeOf } from "@/core/matching/places";
import { formatMoney } from "@/core/quantity/format";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { daysWords } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";

interface ChosenProps {
  readonly one: MatchAnswer["candidates"][number];
  readonly job: JobView;
  readonly asked: Asked;
  readonly currency: string;
  /** Whether two sources still contradict each other. */
  readonly isUnsettled: boolean;
}

/** The small parts that go with it: one order, one postage. */
function GoesWith({ one, currency }: Pick<ChosenProps, "one" | "currency">) {
  if (one.goesWith.length === 0) return null;
  return (
    <section aria-label="On the same order" className="mt-3">
      <h2 className="font-semibold text-soft">On the same order</h2>
      <ul>
        {one.goesWith.map(({ label, why, count, priceMinor }) => (
          <li key={label} className="border-rule border-t py-1.5">
            {count > 1 ? `${count} × ` : ""}
            {label} <b className="num">{formatMoney(count * priceMinor, currency)}</b>
            <span className="block text-soft">{why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The candidate looked at: its reasons, its small parts, and the one tap that takes it. */
export function Chosen({ one, job, asked, currency, isUnsettled }: ChosenProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { id, label, fit, marks, priceMinor, days, supplier, goesWith } = one;
  const forPart = placeOf(asked.family);
  const isKept = job.parts.some((part) => part.forPart === forPart && part.partId === id);
  const choose = (): Promise<boolean> =>
    post({
      kind: "part-chosen",
      stage: "match",
      payload: {
        forPart,
        partId: id,
        label,
        fit: fit === "open" || fit === "reject" ? "note" : fit,
        notes: [],
        priceMinor,
        days,
        asked,
      },
    });
  const order = async (): Promise<void> => {
    const lines = [
      label,
      ...goesWith.map((small) => (small.count > 1 ? `${small.count} × ${small.label}` : small.label)),
    ];
    for (const part of lines) {
      const payload = { part, state: "ordered", from: supplier, expectedOn: null };
      if (!(await post({ kind: "order-linked", stage: "match", payload }))) return;
    }
  };
  const isOrdered = job.orders.some(({ part, state }) => part === label && state !== "cancelled");
  return (
    <aside className="move content-start px-5 py-4" aria-label="The one looked at">
      <h1 className="font-bold text-2xl leading-tight tracking-tight">{label}</h1>
      <p className="mt-2 flex items-center gap-2 font-semibold text-[22px]">
        <FitMark fit={fit} size={22} /> {FIT_WORDS[fit]}
      </p>
      <ul className="mt-2">
        {marks.map(({ attribute, fit: own, said }) => (
          <li key={attribute} className="flex items-start gap-2.5 border-rule border-t py-1.5">
            <span className="mt-0.5">
              <FitMark fit={own} size={16} />
            </span>
            {said}
          </li>
        ))}
      </ul>
      <p className="my-3 text-lg">
        <b className="num">{formatMoney(priceMinor, currency)}</b>{" "}
        <span className="text-soft">
          {days === 0 ? "on the shelf" : `in ${daysWords(days)}`}, {supplier}
        </span>
      </p>
      {fit === "temporary" ? (
        <p className="mb-3 font-semibold text-brass">
          Fit it with an end date, measure the current, and never count it as evidence.
        </p>
      ) : null}
      {isUnsettled ? (
        <p className="font-semibold text-brass">Settle first which source is right.</p>
      ) : fit === "open" ? (
        <p className="font-semibold text-brass">What is not known yet decides: say it above first.</p>
      ) : isKept ? (
        <>
          <p role="status" className="font-semibold text-verdigris">
            Chosen for this job.
          </p>
          {isOrdered ? null : (
            <button type="button" className="btn btn-outline mt-2" disabled={isBusy} onClick={order}>
              Put it on the one order{goesWith.length > 0 ? ", with its small parts" : ""}
            </button>
          )}
        </>
      ) : (
        <button type="button" className="btn btn-primary btn-loud" disabled={isBusy} onClick={choose}>
          Take this one
        </button>
      )}
      <Problem text={problem} />
      <GoesWith one={one} currency={currency} />
    </aside>
  );
}
