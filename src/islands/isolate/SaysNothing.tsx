import { useState } from "react";
import { kindClue, lackable } from "@/core/job/isolation/absent";
import type { JobView } from "@/core/job/log/view";
import { NOT_KNOWN } from "@/core/knowledge/machine-kind";
import type { Knowledge, Move } from "@/core/knowledge/types";
import { inSentence } from "@/words/in-sentence";
import { useSettleKind } from "../engine/settle-kind";
import { Problem } from "../fields/Problem";
import { usePost } from "../state/use-post";

interface SaysNothingProps {
  readonly job: JobView;
  readonly move: Move;
  readonly knowledge: Pick<Knowledge, "moves" | "stations">;
  /** Whether the machine is made safe for this move now. */
  readonly isReady: boolean;
  onNotSure(): void;
}

type Why = "no-instrument" | "cannot-reach" | "no-power" | "other";

/** Why it could not be done, as far as it can be true of this move. */
function whysOf({ kind, power, touches }: Move): readonly (readonly [why: Why, label: string])[] {
  const isInside = touches.some(
    (touch) => touch === "inside" || touch === "bare-conductors" || touch === "board",
  );
  return [
    ...(kind === "reading" ? [["no-instrument", "No instrument for it here"] as const] : []),
    ...(isInside ? [["cannot-reach", "I cannot get at it"] as const] : []),
    ...(power === "off" ? [] : [["no-power", "No power for it here"] as const]),
    ["other", "Another reason"],
  ];
}

/** Said nothing, was not done and why, or there is none of it: that is one tap, and it is gone everywhere. */
export function SaysNothing({ job, move, knowledge, isReady, onNotSure }: SaysNothingProps) {
  const { post, problem, isBusy } = usePost(job.jobId);
  const { settle } = useSettleKind(job);
  const [isAsked, setIsAsked] = useState(false);
  const clue = job.takenIn?.family === NOT_KNOWN ? undefined : kindClue(move);
  const lacking = lackable(move, job, knowledge);
  const say = (payload: {
    moveId: string;
    outcomeId: string;
    why?: Why | "none-here";
    taken: "now" | "afterwards";
  }): Promise<boolean> =>
    post({ kind: "answer", stage: "isolate", payload: { ...payload, circumstance: "cold" } });
  const couldNot = (why: Why | "none-here"): void => {
    setIsAsked(false);
    // Nothing was done: there is nothing to make safe for.
    void say({ moveId: move.id, outcomeId: "could-not", why, taken: "now" });
  };
  /** It is another kind of motor than was said: what it lacks is a clue to which. */
  const isOther = async (): Promise<void> => {
    if (!clue) return;
    const { moveId, outcomeId } = clue;
    if (await say({ moveId, outcomeId, taken: isReady ? "now" : "afterwards" })) settle(NOT_KNOWN);
  };
  const quiet = (label: string, act: () => void) => (
    <button key={label} type="button" className="btn btn-outline" disabled={isBusy} onClick={act}>
      {label}
    </button>
  );
  return (
    <div className="mt-3">
      <div className="flex flex-wrap gap-2.5">
        {quiet("Not sure", onNotSure)}
        <button
          type="button"
          className="btn btn-outline"
          aria-expanded={isAsked}
          disabled={isBusy}
          onClick={() => setIsAsked(!isAsked)}
        >
          Could not …
        </button>
        {clue ? quiet(`It has ${clue.words}: another kind of motor`, () => void isOther()) : null}
        {lacking && !clue ? quiet(`It has no ${inSentence(lacking)}`, () => couldNot("none-here")) : null}
      </div>
      {isAsked ? (
        <fieldset className="mt-2">
          <legend className="label-line">Why not? It comes back once that is different.</legend>
          <div className="flex flex-wrap gap-2">
            {whysOf(move).map(([why, label]) => quiet(label, () => couldNot(why)))}
          </div>
        </fieldset>
      ) : null}
      <Problem text={problem} />
    </div>
  );
}
