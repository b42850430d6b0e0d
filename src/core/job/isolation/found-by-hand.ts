import { repairsOn } from "../../knowledge/kind-costs";
import { NOT_KNOWN } from "../../knowledge/machine-kind";
import type { Parameters } from "../../knowledge/parameters";
import type { Fault, Knowledge, Move, Repair } from "../../knowledge/types";
import type { JobView } from "../log/view";
import { fitsProtectivePart } from "../protective-part";
import { machineOnBench } from "./isolation-request";

/** A defect that was seen or felt, and the small repair that makes it good. */
export interface FoundByHand {
  readonly fault: Fault;
  readonly repair: Repair;
}

/** Seen or felt at the machine itself, without power: an outlet is nobody's to mend in passing. */
function isByHand({ kind, power, touches }: Move): boolean {
  return (kind === "look" || kind === "feel") && power === "off" && !touches.includes("outlet");
}

/**
 * Defects that hands or eyes found since the last work, and that are made good at once whatever the suspects say: a loose
 * lead is a loose lead. A part that protects is never renewed in passing.
 */
export function foundByHand(
  job: JobView,
  knowledge: Pick<Knowledge, "moves" | "faults" | "repairs" | "families" | "archetypes" | "access">,
  parameters: Parameters,
): readonly FoundByHand[] {
  const { answers, interventions, takenIn } = job;
  const { moves, faults } = knowledge;
  const repairs = repairsOn(machineOnBench(job, knowledge), knowledge);
  const byHand = new Set(moves.filter(isByHand).map(({ id }) => id));
  const here = answers.filter(({ epoch, moveId }) => epoch === interventions.length && byHand.has(moveId));
  const family = takenIn?.family ?? NOT_KNOWN;
  return faults.flatMap((fault) => {
    const repair = repairs.find(({ id }) => id === fault.fix.repair);
    const isFound =
      (fault.families.includes(family) || family === NOT_KNOWN) &&
      fault.provenBy.some((proof) =>
        here.some(({ moveId, outcomeId }) => moveId === proof.moveId && outcomeId === proof.outcomeId),
      );
    const isSmall =
      repair !== undefined &&
      repair.minutes <= parameters["in-passing-minutes"] &&
      repair.partMinor <= parameters["in-passing-part"] &&
      !fitsProtectivePart(repair);
    return isFound && isSmall ? [{ fault, repair }] : [];
  });
}
