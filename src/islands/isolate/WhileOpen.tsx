import type { RatedMove } from "@/core/isolation/rated-move";
import type { Knowledge, Move } from "@/core/knowledge/types";
import { inSentence } from "@/words/in-sentence";

const MOST = 2;
const FEW_MINUTES = 3;

interface WhileProps {
  readonly chosen: Move;
  readonly moves: readonly RatedMove[];
  readonly knowledge: Knowledge;
  onChoose(moveId: string): void;
}

/** What the same opening gives for two minutes more: it is never opened for these alone. */
export function WhileOpen({ chosen, moves, knowledge, onChoose }: WhileProps) {
  const access = knowledge.access.find(({ id }) => id === chosen.access);
  const near = moves
    .flatMap(({ moveId, tier }) => {
      const move = knowledge.moves.find(({ id }) => id === moveId);
      const isThere = move !== undefined && move.access === access?.id && move.id !== chosen.id;
      return isThere && tier === 1 && move.minutes <= FEW_MINUTES ? [move] : [];
    })
    .slice(0, MOST);
  if (!access || near.length === 0) return null;
  return (
    <p className="mt-2 text-[17px]" data-testid="while-open">
      <b className="font-semibold">With the {inSentence(access.label)}</b>, for a few minutes more:{" "}
      {near.map(({ id, title, minutes }) => (
        <button
          key={id}
          type="button"
          className="mr-3 inline-flex min-h-11 items-center text-left text-teal underline underline-offset-4"
          onClick={() => onChoose(id)}
        >
          {inSentence(title)}, {minutes} min
        </button>
      ))}
    </p>
  );
}
