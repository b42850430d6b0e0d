import type { LineEvent } from "@/core/safety/energy-event";
import { checkedOf, spokeOf } from "../../danger-events";
import type { EnergyContext, EnergyOf } from "../../energy-of";
import { explainedOf } from "../../explained-of";
import { liveEvents } from "../../live-events";
import type { Payloads } from "../../schemas";

type Read<O extends Payloads["reading"]["of"]> = Extract<Payloads["reading"], { of: O }>;

function ofDeadCheck(
  { checkId, verdict, taken }: Read<"dead-check">,
  context: EnergyContext,
): readonly LineEvent[] {
  const check = context.deadChecks.get(checkId);
  if (!check) return [];
  const isLive = check.needs === "powered";
  // A leakage read without its grant is no test that closes anything.
  const isWorthless = isLive && taken === "afterwards" && verdict === "passed";
  return [
    ...(isLive ? liveEvents(taken) : []),
    { event: "checked", checkId, proves: check.proves, verdict },
    ...(isWorthless ? [] : checkedOf(check, verdict, context)),
  ];
}

function ofTool({ moveId, taken, finding }: Read<"tool">, context: EnergyContext): readonly LineEvent[] {
  const move = moveId === null ? undefined : context.moves.get(moveId);
  const told = finding.evidence.filter((one) => one.moveId === moveId);
  return [
    ...(move && move.power !== "off" ? liveEvents(taken) : []),
    ...told.flatMap(({ outcomeId }) => [
      ...(move ? spokeOf(move, outcomeId, context) : []),
      ...explainedOf(moveId ?? "", outcomeId, context),
    ]),
  ];
}

/** A dead check proves or fails a protection; so may a tool's reading, by the answer it amounts to. */
export const energy: EnergyOf<"reading"> = (payload, context) =>
  payload.of === "dead-check" ? ofDeadCheck(payload, context) : ofTool(payload, context);
