import type { Isolation } from "@/core/isolation/isolate";
import type { Knowledge } from "@/core/knowledge/types";
import { formatChance } from "@/core/quantity/format";
import { inSentence } from "@/words/in-sentence";
import { faultLabel } from "../engine/names";

interface MindChangersProps {
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
}

const SHOWN = 3;
/** An answer that hardly ever comes is no reason to wait for it. */
const LEAST_CHANCE = 0.03;

/** Answers of moves still open after which another suspect would lead, the likeliest first. */
function changers({ moves, suspects }: Isolation) {
  const lead = suspects[0]?.roots.join("+");
  return moves
    .flatMap(({ moveId, answers }) =>
      answers.flatMap(({ outcomeId, chance, then }) => {
        const next = then[0];
        return next === undefined || next === lead || chance < LEAST_CHANCE
          ? []
          : [{ moveId, outcomeId, chance, next }];
      }),
    )
    .sort((one, other) => other.chance - one.chance);
}

/** What would take the lead away from the first suspect: nothing is settled that one answer could turn. */
export function MindChangers({ isolation, knowledge }: MindChangersProps) {
  const found = changers(isolation).slice(0, SHOWN);
  if (found.length === 0) return null;
  const moveOf = (id: string) => knowledge.moves.find((move) => move.id === id);
  return (
    <section aria-label="What would change this" className="mt-3">
      <h2 className="font-semibold text-soft">What would change this</h2>
      <ul className="mt-1 border-ink border-t-2">
        {found.map(({ moveId, outcomeId, chance, next }) => (
          <li key={`${moveId}-${outcomeId}`} className="border-rule border-b py-2">
            {moveOf(moveId)?.title}:{" "}
            <b className="font-medium">{inSentence(moveOf(moveId)?.answers[outcomeId] ?? outcomeId)}</b>{" "}
            <span className="whitespace-nowrap text-soft">({formatChance(chance)})</span>, then{" "}
            {next
              .split("+")
              .map((id) => inSentence(faultLabel(knowledge, id)))
              .join(" and ")}
          </li>
        ))}
      </ul>
    </section>
  );
}
