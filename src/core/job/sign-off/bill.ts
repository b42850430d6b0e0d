import type { JobView } from "../log/reduce";

/** What the owner owes, minor units. */
export interface Bill {
  readonly labour: number;
  readonly parts: number;
  /** Fee for looking, beside the repair or as its least. */
  readonly fee: number;
  readonly feeCounts: boolean;
  readonly total: number;
  readonly deposit: number;
  /** Total less what was paid ahead; below zero it is given back. */
  readonly due: number;
  /** Whether it is above what the owner was to be rung for, and nobody said yes. */
  readonly isAboveCeiling: boolean;
}

/** Whether the owner said yes to anything: then the ceiling was spoken of. */
function saidYes({ ledger }: JobView): boolean {
  return ledger.some(
    (line) => line.kind === "owner-answer" && !line.isStruck && line.payload.answer === "yes",
  );
}

/**
 * Labour and parts with what was agreed at the door. A fee that is set off is the least the owner pays;
 * one that is not comes on top. Money in whole minor units.
 * @example billOf(view, 1400, 1200).total // 2600, or the fee where that is more
 */
export function billOf(view: JobView, labour: number, parts: number): Bill {
  const { feeMinor = null, feeCounts = true, depositMinor = null, ceilingMinor = null } = view.takenIn ?? {};
  const fee = feeMinor ?? 0;
  const work = labour + parts;
  const total = feeCounts ? Math.max(work, fee) : work + fee;
  const deposit = depositMinor ?? 0;
  return {
    labour,
    parts,
    fee,
    feeCounts,
    total,
    deposit,
    due: total - deposit,
    isAboveCeiling: ceilingMinor !== null && total > ceilingMinor && !saidYes(view),
  };
}
