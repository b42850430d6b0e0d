import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { formatMoney } from "@/core/quantity/format";
import { daysWords } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";

interface PairsProps {
  readonly pairs: MatchAnswer["pairs"];
  readonly currency: string;
}

/** Two parts side by side in the place of one, where that fits better or is here sooner. */
export function Pairs({ pairs, currency }: PairsProps) {
  if (pairs.length === 0) return null;
  return (
    <section aria-label="Two together" className="mt-4">
      <h2 className="border-ring border-b-2 pb-1 font-semibold text-soft">Two together, side by side</h2>
      <ul>
        {pairs.map(({ labels, total, fit, priceMinor, days }) => (
          <li
            key={labels.join()}
            className="grid min-h-11 items-center gap-x-4 border-rule border-t py-1.5 md:grid-cols-[150px_minmax(0,1fr)_76px_64px]"
          >
            <span className="flex items-center gap-2 font-semibold">
              <FitMark fit={fit} /> <span aria-hidden="true">{FIT_WORDS[fit]}</span>
            </span>
            <span>
              {labels.join(" with ")}: <b>{total}</b>
            </span>
            <span className="num md:text-right">{formatMoney(priceMinor, currency)}</span>
            <span className="text-soft md:text-right">{daysWords(days)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-soft">
        Only where both can be fixed and insulated; each gets its own bleed resistor if the old one had one.
      </p>
    </section>
  );
}
