import type { Decision } from "@/core/decision/decide";
import type { Route } from "@/core/decision/routes";
import type { SchoolId } from "@/core/decision/schools";
import { formatMoney } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { actionLabel, opinionWords, type RouteNames, SCHOOL_WORDS } from "@/words/routes";
import { Choices } from "../fields/Choices";

interface SchoolsProps {
  readonly decision: Decision;
  readonly names: RouteNames;
  readonly currency: string;
  readonly school: SchoolId;
  readonly ceilingMinor: number | null;
  onChoose(school: SchoolId): void;
}

/** As many steps as the owner's ceiling pays for. */
function paidFor({ steps }: Route, names: RouteNames): string {
  const [first] = steps;
  const more = steps.length === 1 ? ", and no more" : ` and ${steps.length - 1} more after it`;
  return first ? `${inSentence(actionLabel(first.action, names))}${more}` : "";
}

/** How one may judge it: what each school would do, whether they agree, and what the owner's ceiling leaves. */
export function Schools({ decision, names, currency, school, ceilingMinor, onChoose }: SchoolsProps) {
  const { opinions, routes, agree, underCeiling } = decision;
  const ceiling = ceilingMinor === null ? "" : formatMoney(ceilingMinor, currency);
  return (
    <section aria-label="Schools" className="mt-5">
      <Choices
        legend={agree ? "Judged by — they all agree" : "Judged by — they do not agree"}
        name="school"
        choices={opinions.map((one) => ({ value: one.school, label: SCHOOL_WORDS[one.school].label }))}
        value={school}
        onChoose={onChoose}
      />
      <p className="mt-1 text-soft">{SCHOOL_WORDS[school].why}</p>
      <ul className="mt-2" data-testid="opinions">
        {opinions.map((one) => (
          <li
            key={one.school}
            className={`grid gap-x-4 border-rule border-t py-1.5 md:grid-cols-[220px_minmax(0,1fr)] ${one.school === school ? "font-semibold" : ""}`}
          >
            <span>{SCHOOL_WORDS[one.school].label}</span>
            <span>{opinionWords(one, routes, names, currency)}</span>
          </li>
        ))}
        {underCeiling === undefined ? null : (
          <li className="grid gap-x-4 border-rule border-t py-1.5 md:grid-cols-[220px_minmax(0,1fr)]">
            <span>Within the owner’s {ceiling}</span>
            <span>
              {underCeiling
                ? paidFor(underCeiling, names)
                : "nothing that mends it: ask the owner first, or stop"}
            </span>
          </li>
        )}
      </ul>
    </section>
  );
}
