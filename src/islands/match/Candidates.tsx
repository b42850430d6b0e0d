import type { RankedCapacitor } from "@/core/matching/rank";
import type { CapacitorRequirement, From, Needed } from "@/core/matching/requirement";
import { formatMoney } from "@/core/quantity/format";
import { fitReasonWords, NEEDED_LABELS, neededWords } from "../words/match";
import { FIT_WORDS, FitMark } from "./FitMark";

const FROM_WORDS: Readonly<Record<From, string>> = {
  marked: "marked",
  measured: "seen",
  "worked-out": "follows",
  assumed: "assumed",
};
/** How sure each source is: drawn as the fill of its block. */
const SURE: Readonly<Record<From, number>> = { marked: 1, measured: 1, "worked-out": 1, assumed: 0.4 };

/** What is needed, one block an attribute: its value, how sure it is, and where it comes from. */
export function Requirement({ need }: { readonly need: CapacitorRequirement }) {
  return (
    <ul aria-label="What is needed" className="grid grid-cols-2 gap-2 md:flex md:flex-wrap">
      {need.needed.map(({ id, from, isHard }) => (
        <li
          key={id}
          className={`relative min-w-[130px] border-[1.5px] bg-sheet px-3 pt-1.5 pb-2.5 ${isHard ? "border-ink" : "border-ring border-dashed"}`}
        >
          <span className="block text-[15px] text-soft">{NEEDED_LABELS[id]}</span>
          <b className="block leading-tight">{neededWords(need, id)}</b>
          <span className="block text-[15px] text-soft">{FROM_WORDS[from]}</span>
          <span
            className="absolute bottom-0 left-0 h-1 bg-ink"
            style={{ width: `${SURE[from] * 100}%` }}
            aria-hidden="true"
          />
        </li>
      ))}
    </ul>
  );
}

interface CandidatesProps {
  readonly ranked: readonly RankedCapacitor[];
  readonly needed: readonly Needed[];
  readonly currency: string;
  readonly chosenId: string | undefined;
  onLook(partId: string): void;
}

function Line({
  one,
  needed,
  currency,
  isChosen,
  onLook,
}: Omit<CandidatesProps, "ranked" | "chosenId"> & {
  readonly one: RankedCapacitor;
  readonly isChosen: boolean;
}) {
  const { part, fit, attributes } = one;
  return (
    <li className="border-rule border-t">
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={() => onLook(part.id)}
        className={`grid min-h-14 w-full items-center gap-x-4 py-1 text-left md:grid-cols-[160px_minmax(0,1fr)_max-content_80px_70px] ${isChosen ? "bg-sheet" : ""}`}
      >
        <span className="flex items-center gap-2 font-semibold">
          <FitMark fit={fit} /> <span aria-hidden="true">{FIT_WORDS[fit]}</span>
        </span>
        <span>{part.label}</span>
        <span className="flex gap-1.5" aria-hidden="true">
          {needed.map(({ id }) => (
            <FitMark
              key={id}
              fit={attributes.find((attribute) => attribute.id === id)?.fit ?? "note"}
              size={14}
            />
          ))}
        </span>
        <span className="num md:text-right">{formatMoney(part.priceMinor, currency)}</span>
        <span className="text-soft md:text-right">{part.days} d</span>
      </button>
    </li>
  );
}

/** Candidates that may be fitted, best first, a mark a criterion. */
export function Candidates({ ranked, ...props }: CandidatesProps) {
  return (
    <ul aria-label="Candidates" className="border-ring border-b">
      {ranked.map((one) => (
        <Line key={one.part.id} {...props} one={one} isChosen={props.chosenId === one.part.id} />
      ))}
    </ul>
  );
}

/** Near misses folded by their reason, without any button: what is rejected cannot be taken. */
export function Rejected({ ranked }: { readonly ranked: readonly RankedCapacitor[] }) {
  const byReason = new Map<string, RankedCapacitor[]>();
  for (const one of ranked) {
    const first = one.attributes.find(({ fit }) => fit === "reject");
    const key = {
      kind: "wrong kind",
      capacitance: "capacitance",
      voltage: "lower volts",
      alternating: "polarised",
      "life-class": "lower life class",
      "protection-class": "lower protection",
      resistor: "resistor",
    }[first?.id ?? "kind"];
    byReason.set(key, [...(byReason.get(key) ?? []), one]);
  }
  const counted = [...byReason].map(([reason, rows]) => `${rows.length} ${reason}`).join(", ");
  return (
    <details className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        {ranked.length} do not fit: {counted}
      </summary>
      <ul>
        {ranked.map(({ part, attributes }) => (
          <li key={part.id} className="border-rule border-t py-1.5">
            {part.label}.{" "}
            <span className="text-soft">
              {attributes
                .filter(({ fit }) => fit === "reject")
                .map(({ reason }) => fitReasonWords(reason))
                .join(" ")}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
