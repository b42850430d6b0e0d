import type { ReactNode } from "react";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { formatMoney } from "@/core/quantity/format";
import { daysWords } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";

type Combination = MatchAnswer["together"][number];

interface TogetherProps {
  readonly together: readonly Combination[];
  readonly currency: string;
  /** What can be done with one. */
  action(one: Combination): ReactNode;
}

const nameOf = ({ parts }: Combination): string =>
  parts.map(({ label, place }) => (place === null ? label : `${label} (${place})`)).join(" with ");

/** What else may stand in the place of one part, where that fits better or is here sooner. */
export function Together({ together, currency, action }: TogetherProps) {
  if (together.length === 0) return null;
  return (
    <section aria-label="In its place" className="mt-4">
      <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">In the place of one</h2>
      <ul>
        {together.map((one, index) => {
          const { id, total, said, fit, priceMinor, days } = one;
          return (
            <li
              key={id}
              className="grid min-h-11 items-start gap-x-4 gap-y-1 border-rule border-t py-2 md:grid-cols-[150px_minmax(0,1fr)_76px_64px]"
            >
              <span className="flex items-center gap-2 font-semibold">
                <FitMark fit={fit} /> <span aria-hidden="true">{FIT_WORDS[fit]}</span>
              </span>
              <span>
                {nameOf(one)}
                {total === "" ? "" : ": "}
                <b>{total}</b>
                {together[index - 1]?.said === said ? null : <span className="block text-soft">{said}</span>}
                {action(one)}
              </span>
              <span className="num md:text-right">{formatMoney(priceMinor, currency)}</span>
              <span className="text-soft md:text-right">{daysWords(days)}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
