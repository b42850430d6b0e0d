import type { RefusedRepair } from "@/core/decision/decide";
import type { Knowledge } from "@/core/knowledge/types";
import { inSentence } from "@/words/in-sentence";
import { faultLabel, repairLabel } from "../engine/names";

interface RefusedProps {
  readonly refused: readonly RefusedRepair[];
  readonly knowledge: Knowledge;
}

/** What would only change the consequence: named, with its reason, and without a button. */
export function Refused({ refused, knowledge }: RefusedProps) {
  if (refused.length === 0) return null;
  return (
    <ul aria-label="Refused" className="mt-3 border-[1.5px] border-ink px-4 py-2" data-testid="refused">
      {refused.map(({ repair, fault, root }) => (
        <li key={repair}>
          <b>Not this one: {inSentence(repairLabel(knowledge, repair))}.</b> It changes only the consequence:{" "}
          {inSentence(faultLabel(knowledge, root))} brought about {inSentence(faultLabel(knowledge, fault))},
          and would again. It is done together with the cure.
        </li>
      ))}
    </ul>
  );
}
