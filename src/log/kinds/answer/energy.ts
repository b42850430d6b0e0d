import { spokeOf } from "../../danger-events";
import type { EnergyOf } from "../../energy-of";
import { explainedOf } from "../../explained-of";
import { happened } from "../../happened";
import { liveEvents } from "../../live-events";

/** A live answer is itself a statement about power; what it showed may stop live work, or fail a protection. */
export const energy: EnergyOf<"answer"> = ({ moveId, outcomeId, taken }, context) => {
  const move = context.moves.get(moveId);
  if (!move || outcomeId === "could-not") return [];
  const stop = Object.entries(move.stops).find(([outcome]) => outcome === outcomeId)?.[1];
  const isLookInside = move.kind === "look" && move.touches.includes("inside") && outcomeId !== "not-sure";
  const spoke = spokeOf(move, outcomeId, context);
  // A test under power without its grant closes nothing; what it found failed stands.
  const isWorthless = move.power !== "off" && taken === "afterwards";
  return [
    ...(move.power === "off" ? [] : liveEvents(taken)),
    ...(stop === undefined ? [] : happened(stop)),
    ...(move.stalls.includes(outcomeId) ? [{ event: "stalled" } as const] : []),
    ...spoke.filter(({ event }) => !(isWorthless && event === "tested")),
    ...(isLookInside ? [{ event: "looked-inside" } as const] : []),
    ...explainedOf(moveId, outcomeId, context),
  ];
};
