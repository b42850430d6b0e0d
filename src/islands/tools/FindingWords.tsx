import { formatText } from "@/core/quantity/format";
import type { Finding, Said } from "@/core/tools/finding.input";
import { useToolWords } from "@/islands/state/tool-words";
import { saidWords, VERDICT_WORDS } from "@/words/said";
import { VerdictMark } from "../frame/VerdictMark";

/** A sentence may be said twice, of different parts. */
const keyOf = ({ code, params }: Said): string => `${code} ${JSON.stringify(params)}`;

/** What a Finding says: the shape, the reason, what the reading stands for, what could make it wrong. */
export function FindingWords({ finding }: { readonly finding: Finding }) {
  const { toolId } = finding.basis;
  const words = useToolWords([toolId]);
  const [first, ...others] = finding.reasons;
  const figure = finding.figures[0];
  return (
    <div data-testid="verdict" data-verdict={finding.verdict}>
      <p className="flex items-start gap-2.5 font-semibold text-[22px] leading-tight">
        <VerdictMark shape={finding.verdict} />
        <span>
          <span className="sr-only">{VERDICT_WORDS[finding.verdict]}: </span>
          {first ? saidWords(words, toolId, first) : VERDICT_WORDS[finding.verdict]}
        </span>
      </p>
      <ul className="mt-1.5 text-soft">
        {others.map((said) => (
          <li key={keyOf(said)} className="font-semibold text-ink">
            {saidWords(words, toolId, said)}.
          </li>
        ))}
        {figure?.lower === undefined || figure.upper === undefined ? null : (
          <li>
            It stands for {formatText(figure.lower, figure.unit)} to {formatText(figure.upper, figure.unit)}.
          </li>
        )}
        {finding.cautions.map((said) => (
          <li key={keyOf(said)}>{saidWords(words, toolId, said)}</li>
        ))}
      </ul>
    </div>
  );
}
