import type { Fault, Repair } from "../../knowledge/types";
import type { JobView } from "../log/view";
import { billOf, withMarkup } from "./bill";

/** What the likeliest repair would come to on the owner's bill. */
export interface Estimate {
  readonly repair: string;
  readonly label: string;
  /** Chance that one of the faults which this repair cures is the one. */
  readonly chance: number;
  /** Whole bill, minor units: the time so far and that of the repair, its part, tax and fee. */
  readonly priceMinor: number;
  readonly isAboveCeiling: boolean;
}

interface Suspected {
  readonly roots: readonly string[];
  readonly chance: number;
}

interface EstimateContext {
  readonly suspects: readonly Suspected[];
  readonly faults: readonly Fault[];
  /** With the minutes and parts of this machine as it stands. */
  readonly repairs: readonly Repair[];
  /** To close again what stands open. */
  readonly closingMinutes: number;
  readonly settings: {
    readonly labourRateMinor: number;
    readonly partsMarkupPercent: number;
    readonly taxPercent: number;
  };
}

/** The repair that cures the most of what it may be. */
function likeliestRepair(suspects: readonly Suspected[], faults: readonly Fault[]) {
  const chances = new Map<string, number>();
  for (const { roots, chance } of suspects) {
    const [root] = roots;
    const repair = roots.length === 1 ? faults.find(({ id }) => id === root)?.fix.repair : undefined;
    if (repair !== undefined) chances.set(repair, (chances.get(repair) ?? 0) + chance);
  }
  return [...chances].sort(([, one], [, other]) => other - one)[0];
}

/** @returns undefined where no suspect has a repair of its own */
export function estimateOf(view: JobView, context: EstimateContext): Estimate | undefined {
  const { suspects, faults, repairs, settings } = context;
  const [repair, chance] = likeliestRepair(suspects, faults) ?? [];
  const known = repairs.find(({ id }) => id === repair);
  if (repair === undefined || chance === undefined || !known) return undefined;
  const minutes = view.secondsSpent / 60 + known.minutes + context.closingMinutes;
  const part = view.prices[repair] ?? known.partMinor;
  const bill = billOf(view, {
    labourMinor: Math.round((minutes / 60) * settings.labourRateMinor),
    partsMinor: withMarkup(part, settings.partsMarkupPercent),
    discountMinor: 0,
    isFree: false,
    taxPercent: settings.taxPercent,
  });
  return { repair, label: known.label, chance, priceMinor: bill.total, isAboveCeiling: bill.isAboveCeiling };
}

/**
 * Whether the owner is rung before more is done: the likeliest repair is above what was said at the door, and likely enough.
 * @param from least chance of that repair at which they are rung, 0 to 1
 */
export function asksOwner(
  view: Pick<JobView, "questions" | "ownerSaid" | "decision" | "interventions" | "reopened">,
  estimate: Estimate | undefined,
  from: number,
): estimate is Estimate {
  if (!estimate?.isAboveCeiling || estimate.chance < from) return false;
  // What was decided and done on an earlier visit settles nothing of this one.
  const back = view.reopened?.seq ?? 0;
  const isSettled =
    (view.decision !== null && view.decision.seq > back) || view.interventions.some(({ seq }) => seq > back);
  return !isSettled && view.questions.length === 0 && view.ownerSaid?.answer !== "no";
}
