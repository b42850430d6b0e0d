import type { ReactNode } from "react";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { formatMoney } from "@/core/quantity/format";
import { daysWords } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";

interface LookedProps {
  readonly one: MatchAnswer["candidates"][number];
  readonly currency: string;
  /** How many are fitted together. */
  readonly fitted: number;
  /** What can be done with it. */
  readonly children: ReactNode;
}

/** The small parts that go with it: one order, one postage. */
function GoesWith({ one, currency }: Pick<LookedProps, "one" | "currency">) {
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

/** The candidate looked at: its reasons, its price, what can be done with it, and its small parts. */
export function Looked({ one, currency, fitted, children }: LookedProps) {
  const { label, fit, marks, priceMinor, days, supplier, shelf } = one;
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
        {fitted > 1 ? `${fitted} × ` : ""}
        <b className="num">{formatMoney(priceMinor, currency)}</b>{" "}
        <span className="text-soft">
          {fitted > 1 ? "fitted together, " : ""}
          {shelf ? `here: ${shelf.count} in ${shelf.place}` : `in ${daysWords(days)}, ${supplier}`}
        </span>
      </p>
      {fit === "temporary" ? (
        <p className="mb-3 font-semibold text-brass">
          Fit it with an end date, measure the current, and never count it as evidence.
        </p>
      ) : null}
      {children}
      <GoesWith one={one} currency={currency} />
    </aside>
  );
}
