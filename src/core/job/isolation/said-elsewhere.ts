import { NOT_KNOWN } from "../../knowledge/machine-kind";
import type { JobView } from "../log/view";

interface Fact {
  readonly seq: number;
  readonly moveId: string;
  readonly outcomeId: string;
}

/** What was said of the motor's capacitors when they were noted or drained, as the clue to its kind that it is. */
function capacitorClue({ capacitors, ledger }: JobView): Fact | undefined {
  const [first, second] = capacitors;
  if (first)
    return {
      seq: first.seq,
      moveId: "clue-hump",
      outcomeId: second ? "two" : first.id === "start" ? "one-big" : "one-flat",
    };
  const none = ledger.find(
    (line) =>
      line.kind === "bench-state" &&
      !line.isStruck &&
      line.payload.event === "nothing-stores" &&
      /\bno capacitor/iu.test(line.payload.why),
  );
  return none && { seq: none.seq, moveId: "clue-hump", outcomeId: "none" };
}

/** Clues to the kind of motor that were said at another bench of this job; none once the kind is settled or the clue asked. */
export function saidElsewhere(job: JobView): readonly Fact[] {
  if ((job.takenIn?.family ?? NOT_KNOWN) !== NOT_KNOWN) return [];
  const clue = capacitorClue(job);
  return clue && !job.answers.some(({ moveId }) => moveId === clue.moveId) ? [clue] : [];
}
