import type { Conflict as Contradiction } from "@/core/isolation/conflict";
import type { JobView } from "@/core/job/log/view";
import type { Knowledge } from "@/core/knowledge/types";
import type { Shop } from "@/core/shop/shop";
import { type SayLine, useLineWords } from "@/islands/state/tool-words";
import { inSentence } from "@/words/in-sentence";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface ConflictProps {
  readonly conflict: Contradiction | undefined;
  readonly job: JobView;
  readonly knowledge: Knowledge;
  readonly shop: Shop;
  /** Opens a move again, once its old answer is struck out. */
  onAsk(moveId: string): void;
}

interface Line {
  readonly seq: number;
  readonly words: string;
  readonly moveId: string | undefined;
}

function lineOf(job: JobView, say: SayLine, seq: number): Line {
  const line = job.ledger.find((one) => one.seq === seq);
  const moveId = job.answers.find((one) => one.seq === seq)?.moveId;
  if (!line || line.kind === "complaint") return { seq, words: "the complaint", moveId };
  return { seq, words: `line ${seq}, ${inSentence(say(line))}`, moveId };
}

const count = new Intl.NumberFormat("en", { useGrouping: true });

/** Answers that contradict each other: which two cannot both be, and the ones to ask again. */
export function Conflict({ conflict, job, knowledge, shop, onAsk }: ConflictProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const say = useLineWords(job, shop);
  if (!conflict) return null;
  const { impossible } = conflict;
  const pair = impossible?.seqs.map((seq) => lineOf(job, say, seq));
  const doubted = [...new Set(conflict.doubted)].map((seq) => lineOf(job, say, seq));
  const askAgain = async ({ seq, moveId }: Line): Promise<void> => {
    if (moveId === undefined) return;
    const isStruck = await post({
      kind: "struck",
      stage: "isolate",
      payload: { seq, why: "", reason: "asked-again" },
    });
    if (isStruck) onAsk(moveId);
  };
  return (
    <section
      aria-label="Contradiction"
      role="status"
      className="half-hatched mb-3 border border-ink p-1.5"
      data-testid="conflict"
    >
      <div className="bg-paper px-3 py-2">
        <h2 className="font-bold">These answers do not fit together</h2>
        {impossible && pair ? (
          <p className="first-letter:uppercase">
            <b>{pair[0]?.words}</b> and <b>{pair[1]?.words}</b> cannot both be so: all{" "}
            {count.format(impossible.sets)} sets of faults that this machine can have were tried, and none
            makes both likely.
          </p>
        ) : (
          <p>No set of faults explains them as well as it should.</p>
        )}
        <p className="mt-1 flex flex-wrap items-center gap-x-3">
          Most in doubt:
          {doubted.map((line) =>
            line.moveId === undefined ? (
              <a
                key={line.seq}
                className="inline-flex min-h-11 items-center text-teal underline underline-offset-4"
                href={`/jobs/${job.jobId}/take-in`}
              >
                the complaint
              </a>
            ) : (
              <button
                key={line.seq}
                type="button"
                disabled={isBusy}
                className="min-h-11 text-left text-teal underline underline-offset-4"
                onClick={() => askAgain(line)}
              >
                ask again: {inSentence(knowledge.moves.find(({ id }) => id === line.moveId)?.title ?? "")}
              </button>
            ),
          )}
        </p>
        <Problem text={problem} />
      </div>
    </section>
  );
}
