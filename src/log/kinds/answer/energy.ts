import type { LineEvent } from "@/core/safety/energy-event";
import { answerKey, type EnergyOf } from "../../energy-of";
import { liveEvents } from "../../live-events";

/** A live answer is itself a statement about power; what it showed may stop live work, or fail a protection. */
export const energy: EnergyOf<"answer"> = ({ moveId, outcomeId, taken }, { moves, proofs }) => {
  const move = moves.get(moveId);
  if (!move || outcomeId === "could-not") return [];
  const stop = Object.entries(move.stops).find(([outcome]) => outcome === outcomeId)?.[1];
  const spoke = move.speaksOf.flatMap(({ of, failed, passed }): LineEvent[] => {
    const verdict = failed.includes(outcomeId) ? "failed" : passed.includes(outcomeId) ? "passed" : undefined;
    return verdict ? [{ event: "spoke", of, by: `move:${moveId}`, verdict }] : [];
  });
  const isLookInside = move.kind === "look" && move.touches.includes("inside") && outcomeId !== "not-sure";
  return [
    ...(move.power === "off" ? [] : liveEvents(taken)),
    ...(stop === undefined ? [] : [{ event: "incident", what: stop } as const]),
    ...spoke,
    ...(isLookInside ? [{ event: "looked-inside" } as const] : []),
    ...(proofs.get(answerKey(moveId, outcomeId)) ?? []),
  ];
};
