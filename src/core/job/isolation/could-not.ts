import type { Move } from "../../knowledge/types";
import type { JobAnswer } from "../log/told-answers";
import type { JobView } from "../log/view";

/** What could be done about a move that could not be made. */
export interface BenchToday {
  /** Instruments in the shop. */
  readonly kit: readonly string[];
  /** Whether power may be on, with the guards on and for a measurement. */
  readonly hasPower: boolean;
}

/** Whether the reason for which a move could not be made is gone: then it is open again. */
export function isOpenAgain(
  { outcomeId, why, seq }: JobAnswer,
  move: Pick<Move, "kit"> | undefined,
  { ledger }: Pick<JobView, "ledger">,
  { kit, hasPower }: BenchToday,
): boolean {
  if (outcomeId !== "could-not") return false;
  switch (why) {
    case "no-instrument":
      return move?.kit !== undefined && kit.includes(move.kit);
    case "cannot-reach":
      return ledger.some((line) => line.kind === "opened" && !line.isStruck && line.seq > seq);
    case "no-power":
      return hasPower;
    default:
      return false;
  }
}
