import type { DangerEvent } from "@/core/safety/energy-event";
import { harmsOf, isOutside } from "@/core/safety/explains";
import { answerKey, type EnergyContext } from "./energy-of";

/**
 * The reasons that an answer proves for what power did, or was told to have done. Each fault by itself: mending one of
 * them closes only what that one can do.
 */
export function explainedOf(
  moveId: string,
  outcomeId: string,
  { proofs }: Pick<EnergyContext, "proofs">,
): readonly DangerEvent[] {
  return (proofs.get(answerKey(moveId, outcomeId)) ?? []).flatMap((fault): readonly DangerEvent[] => {
    const can = harmsOf(fault);
    if (can.length === 0) return [];
    return [{ event: "explained", can, remedy: { faults: [fault.id] }, isOutside: isOutside(fault) }];
  });
}
