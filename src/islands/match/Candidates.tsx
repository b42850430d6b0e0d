import { useState } from "react";
import type { MatchAnswer } from "@/core/matching/match-answer.input";
import { formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { FIT_WORDS, FitMark } from "./FitMark";

type Candidate = MatchAnswer["candidates"][number];

interface CandidatesProps {
  readonly candidates: readonly Candidate[];
  readonly found: number;
  readonly needed: MatchAnswer["needed"];
  readonly currency: string;
  readonly chosenId: string | undefined;
  onLook(partId: string): void;
}

interface LineProps extends Pick<CandidatesProps, "needed" | "currency" | "onLook"> {
  readonly one: Candidate;
  readonly isChosen: boolean;
}

export const daysWords = (days: number): string =>
  days === 0 ? "here" : days === 1 ? "1 day" : `${days} days`;

function Line({ one, needed, currency, isChosen, onLook }: LineProps) {
  const { id, label, fit, marks, priceMinor, days, shelf } = one;
  return (
    <li className="border-rule border-t">
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={() => onLook(id)}
        className={`grid min-h-14 w-full items-center gap-x-4 py-1 text-left md:grid-cols-[150px_minmax(0,1fr)_max-content_76px_64px] ${isChosen ? "bg-sheet" : ""}`}
      >
        <span className="flex items-center gap-2 font-semibold">
          <FitMark fit={fit} /> <span aria-hidden="true">{FIT_WORDS[fit]}</span>
        </span>
        <span>
          {label}
          {shelf ? <span className="block text-soft">{shelf.place}</span> : null}
        </span>
        <span className="flex gap-1.5" aria-hidden="true">
          {needed.map((need) => (
            <FitMark
              key={need.id}
              fit={marks.find(({ attribute }) => attribute === need.id)?.fit ?? "fit"}
              size={14}
            />
          ))}
        </span>
        <span className="num md:text-right">{formatMoney(priceMinor, currency)}</span>
        <span className="text-soft md:text-right">{daysWords(days)}</span>
      </button>
    </li>
  );
}

/** As many as are shown at first. */
const SHOWN = 7;

/** Candidates that may be fitted, best first, a mark a criterion. */
export function Candidates({ candidates, found, ...props }: CandidatesProps) {
  const [isWhole, setIsWhole] = useState(false);
  const shown = isWhole ? candidates : candidates.slice(0, SHOWN);
  return (
    <>
      <ul aria-label="Candidates" className="border-ring border-b">
        {shown.map((one) => (
          <Line key={one.id} {...props} one={one} isChosen={props.chosenId === one.id} />
        ))}
      </ul>
      {candidates.length > shown.length ? (
        <button
          type="button"
          className="min-h-11 text-teal underline underline-offset-4"
          onClick={() => setIsWhole(true)}
        >
          Show {candidates.length - shown.length} more
        </button>
      ) : found > candidates.length ? (
        <p className="mt-2 text-soft">
          {found - candidates.length} more behind these: say more of what is needed, and they go.
        </p>
      ) : null}
    </>
  );
}

/** What is rejected, counted by its first reason, and near misses with the one thing that fails: without any button. */
export function Rejected({ rejected, nearMisses }: Pick<MatchAnswer, "rejected" | "nearMisses">) {
  const total = rejected.reduce((sum, { count }) => sum + count, 0);
  if (total === 0) return null;
  return (
    <details className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        {total} do not fit:{" "}
        {rejected.map(({ label, count }) => `${count} by ${inSentence(label)}`).join(", ")}
      </summary>
      {nearMisses.length > 0 ? <p className="text-soft">Near misses, each by one thing:</p> : null}
      <ul>
        {nearMisses.map(({ id, label, said }) => (
          <li key={id} className="border-rule border-t py-1.5">
            {label}. <span className="text-soft">{said}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
