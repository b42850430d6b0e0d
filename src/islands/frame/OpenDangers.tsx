import type { Stage } from "@/core/job/stages";
import type { Move } from "@/core/knowledge/types";
import { type Danger, openDangers, withholding } from "@/core/safety/dangers/danger";
import type { Shop } from "@/core/shop/shop";
import { dangerWords } from "@/words/dangers";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";
import { useAnchored } from "./anchor";
import type { JobScreen } from "./use-job-screen";
import { VerdictMark } from "./VerdictMark";

interface OpenProps {
  readonly screen: JobScreen;
  readonly shop: Pick<Shop, "moves">;
  readonly stage: Stage;
}

/** The look or reading that closes it, where it is one that no other part of the screen asks for. */
function moveOf({ test, remediedBy, struckBy }: Danger, moves: readonly Move[]): Move | undefined {
  if (remediedBy === 0 && struckBy === 0) return undefined;
  return moves.find(({ id }) => test === `move:${id}`);
}

/** The same look or test, once more: one tap. */
function Again({ move, screen, stage }: OpenProps & { readonly move: Move }) {
  const { post, problem, isBusy } = usePost(screen.job.jobId);
  const isReady = screen.gaps(move.needs).length === 0 && screen.liveGaps(move.power).length === 0;
  const keep = (outcomeId: string): void =>
    void post({
      kind: "answer",
      stage,
      payload: { moveId: move.id, outcomeId, circumstance: "cold", taken: isReady ? "now" : "afterwards" },
    });
  return (
    <div className="mt-2">
      <p className="mb-1 font-semibold">{move.title}, again</p>
      <div className="flex flex-wrap gap-2">
        {move.outcomes.map((outcomeId) => (
          <button
            key={outcomeId}
            type="button"
            className="btn btn-outline"
            disabled={isBusy}
            onClick={() => keep(outcomeId)}
          >
            {move.answers[outcomeId] ?? outcomeId}
          </button>
        ))}
      </div>
      {isReady ? null : <p className="text-soft">Kept as entered afterwards.</p>}
      <Problem text={problem} />
    </div>
  );
}

/** Every danger that stands open, what closes it, and its own look or reading where that is due. */
export function OpenDangers(props: OpenProps) {
  const { screen, shop } = props;
  const { ref } = useAnchored<HTMLElement>("open");
  const { dangers } = screen.job.live;
  const isDue = (danger: Danger): boolean => moveOf(danger, shop.moves) !== undefined;
  // Whose look or reading is due comes first: that is what can be done now.
  const open = [...openDangers(dangers)].sort((one, other) => Number(isDue(other)) - Number(isDue(one)));
  if (open.length === 0) return null;
  const forbidden = new Set(withholding(dangers, "use"));
  return (
    <section
      ref={ref}
      aria-label="What stands open"
      className="sheet mb-3 px-5 py-3"
      data-testid="open-dangers"
    >
      <h2 className="font-semibold text-lg">What stands open</h2>
      <ul>
        {open.map((danger) => {
          const move = moveOf(danger, shop.moves);
          return (
            <li
              key={`${danger.kind} ${danger.place} ${danger.openedBy}`}
              className="border-rule border-t py-2"
            >
              <p className="flex items-start gap-2">
                <VerdictMark shape={forbidden.has(danger) ? "failed" : "undecided"} />
                <span>
                  {dangerWords(danger)} <span className="text-soft">(line {danger.openedBy})</span>
                </span>
              </p>
              {move ? <Again {...props} move={move} /> : null}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
