import { formatText } from "@/core/quantity/format";
import type { Finding } from "@/core/tools/tool";
import { VerdictMark } from "../../frame/VerdictMark";
import { cautionWords, reasonWords, VERDICT_WORDS } from "../../words/said";

/** What a Finding says: the shape, the reason, what the reading stands for, what could make it wrong. */
export function FindingWords({ finding }: { readonly finding: Finding }) {
  const [first, ...others] = finding.reasons;
  const figure = finding.figures[0];
  return (
    <div data-testid="verdict" data-verdict={finding.verdict}>
      <p className="flex items-start gap-2.5 font-semibold text-[22px] leading-tight">
        <VerdictMark shape={finding.verdict} />
        <span>
          <span className="sr-only">{VERDICT_WORDS[finding.verdict]}: </span>
          {first ? reasonWords(first) : VERDICT_WORDS[finding.verdict]}
        </span>
      </p>
      <ul className="mt-1.5 text-soft">
        {others.map((said) => (
          <li key={said.code} className="font-semibold text-ink">
            {reasonWords(said)}.
          </li>
        ))}
        {figure?.lower === undefined || figure.upper === undefined ? null : (
          <li>
            The meter's error makes it {formatText(figure.lower, figure.unit)} to{" "}
            {formatText(figure.upper, figure.unit)}.
          </li>
        )}
        {finding.cautions.map((said) => (
          <li key={said.code}>{cautionWords(said)}</li>
        ))}
      </ul>
    </div>
  );
}
