import type { Action, DecisionCase } from "@/core/decision/action";
import type { FigureId } from "@/core/decision/figures";
import type { CaseFacts } from "@/core/decision/making";
import type { JobView } from "@/core/job/log/view";
import { inSentence } from "@/words/in-sentence";
import { actionLabel, type RouteNames } from "@/words/routes";
import { Fold } from "../fields/Fold";
import { Price } from "./Prices";

interface PriceListProps {
  readonly job: JobView;
  readonly currency: string;
  readonly facts: CaseFacts;
  readonly options: DecisionCase;
  readonly first: Action | undefined;
  readonly names: RouteNames;
}

interface Line {
  readonly of: FigureId | string;
  readonly label: string;
  readonly usualMinor: number | undefined;
  readonly hint?: string;
}

function linesOf({ facts, options, first, names }: PriceListProps): readonly Line[] {
  const repair = first?.repairs.length === 1 ? first.repairs[0] : undefined;
  const assembly = options.swaps.find(({ kind }) => kind === "assembly");
  const machine = facts.ends.find(({ id }) => id === "replace")?.cash.likely;
  const away = "What is paid, or got, when it goes.";
  return [
    { of: "machine", label: "Another machine", usualMinor: machine },
    { of: "fit-motor", label: "Another motor", usualMinor: facts.parts.get("fit-motor")?.cashMinor },
    ...(repair && repair !== "fit-motor" && first && first.cash.likely > 0
      ? [
          {
            of: repair,
            label: `Part: ${inSentence(actionLabel(first, names))}`,
            usualMinor: first.cash.likely,
          },
        ]
      : []),
    ...(repair && names.repairs.find(({ id }) => id === repair)?.isNewOnly !== true
      ? [{ of: `donor:${repair}`, label: "The same part out of a donor", usualMinor: undefined }]
      : []),
    ...(assembly
      ? [{ of: assembly.id, label: actionLabel(assembly, names), usualMinor: assembly.cash.likely }]
      : []),
    { of: "second-hand", label: "A second-hand one", usualMinor: undefined },
    { of: "trade", label: "Another shop or a licensed trade", usualMinor: undefined },
    { of: "worth", label: "Worth to its owner, running", usualMinor: machine, hint: "What stopping costs." },
    { of: "rate", label: "An hour at the bench", usualMinor: facts.minuteMinor * 60, hint: "May be 0." },
    { of: "day", label: "A day without it", usualMinor: 0 },
    { of: "postage", label: "Postage of an order", usualMinor: facts.postageMinor },
    { of: "disposal", label: "Disposal", usualMinor: 0, hint: away },
    { of: "scrap", label: "Scrap brings", usualMinor: 0, hint: away },
  ];
}

/** Prices and offers that the answer stands on: each has a usual value, and is typed only to correct it. */
export function PriceList(props: PriceListProps) {
  const { job, currency } = props;
  const lines = linesOf(props);
  const typed = lines.filter(({ of }) => job.said[of] !== undefined).length;
  return (
    <Fold
      title="Prices and offers"
      holds={typed === 0 ? "all assumed from its kind" : `${typed} of ${lines.length} said, the rest assumed`}
    >
      <p className="mb-3 text-soft">One amount, or the lowest and the highest: 60-100.</p>
      <div className="grid gap-x-7 gap-y-3 md:grid-cols-2 xl:grid-cols-3">
        {lines.map((line) => (
          <Price
            key={`${line.of}:${job.said[line.of]?.minor ?? ""}`}
            job={job}
            currency={currency}
            {...line}
          />
        ))}
      </div>
    </Fold>
  );
}
