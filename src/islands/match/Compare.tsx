import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { formatMoney } from "@/core/quantity/format";
import { daysWords } from "./Candidates";
import { FIT_WORDS, FitMark } from "./FitMark";

interface CompareProps {
  readonly candidates: MatchAnswer["candidates"];
  readonly needed: MatchAnswer["needed"];
  readonly currency: string;
  onDrop(partId: string): void;
}

/** Up to four candidates beside each other, attribute by attribute, in words. */
export function Compare({ candidates, needed, currency, onDrop }: CompareProps) {
  if (candidates.length < 2) return null;
  return (
    <section aria-label="Beside each other" className="mt-4 overflow-x-auto">
      <table className="w-full border-separate border-spacing-0 text-left align-top">
        <thead>
          <tr>
            <th scope="col" className="border-ring border-b-2 pr-4 font-semibold text-soft">
              Beside each other
            </th>
            {candidates.map(({ id, label, fit }) => (
              <th key={id} scope="col" className="min-w-44 border-ring border-b-2 pr-4 pb-1 align-bottom">
                {label}
                <span className="mt-1 flex items-center gap-2 font-normal">
                  <FitMark fit={fit} size={16} /> {FIT_WORDS[fit]}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {needed.map(({ id, label, value }) => (
            <tr key={id}>
              <th scope="row" className="border-rule border-b py-1.5 pr-4 align-top font-semibold">
                {label}
                <span className="block font-normal text-soft">{value ?? "not known"}</span>
              </th>
              {candidates.map((one) => {
                const mark = one.marks.find(({ attribute }) => attribute === id);
                return (
                  <td key={one.id} className="border-rule border-b py-1.5 pr-4 align-top">
                    {mark ? (
                      <span className="flex items-start gap-2">
                        <FitMark fit={mark.fit} size={14} />
                        {mark.said.replace(`${label}: `, "")}
                      </span>
                    ) : (
                      <span className="text-soft">nothing stated</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
          <tr>
            <th scope="row" className="py-1.5 pr-4 font-semibold">
              Price, days
            </th>
            {candidates.map(({ id, priceMinor, days }) => (
              <td key={id} className="py-1.5 pr-4">
                <b className="num">{formatMoney(priceMinor, currency)}</b>{" "}
                <span className="text-soft">{daysWords(days)}</span>
                <button
                  type="button"
                  className="block min-h-11 text-teal underline underline-offset-4"
                  onClick={() => onDrop(id)}
                >
                  take it away
                </button>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </section>
  );
}
