import type { Isolation } from "@/core/isolation/isolate";
import type { Knowledge } from "@/core/knowledge/types";

interface BeforeProps {
  readonly isolation: Isolation;
  readonly knowledge: Knowledge;
  onAsk(moveId: string): void;
}

/** Once the fault is proven, and before its part is ordered: its twin, what broke it, the reading once more. */
export function BeforeOrder({ isolation, knowledge, onAsk }: BeforeProps) {
  if (isolation.beforeOrder.length === 0) return null;
  return (
    <section aria-label="Before the order" className="mt-3" data-testid="before-order">
      <h2 className="font-semibold">Before the order</h2>
      <ul>
        {isolation.beforeOrder.map(({ moveId, why }) => {
          const move = knowledge.moves.find(({ id }) => id === moveId);
          return move ? (
            <li key={moveId} className="border-rule border-t">
              <button
                type="button"
                className="grid min-h-12 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-1 text-left"
                onClick={() => onAsk(moveId)}
              >
                <span>
                  <b className="font-semibold">{move.title}</b>
                  <span className="block text-soft leading-tight">{why}</span>
                </span>
                <span className="text-soft">{move.minutes} min</span>
              </button>
            </li>
          ) : null;
        })}
      </ul>
    </section>
  );
}
