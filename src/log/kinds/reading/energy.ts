import type { Protection } from "@/core/knowledge/move-page.input";
import type { LineEvent, Proof } from "@/core/safety/energy-event";
import { INCIDENTS_OF_CHECK } from "@/core/safety/explains";
import { answerKey, type EnergyContext, type EnergyOf } from "../../energy-of";
import { liveEvents } from "../../live-events";
import type { Payloads } from "../../schemas";

type Read<O extends Payloads["reading"]["of"]> = Extract<Payloads["reading"], { of: O }>;

const SPEAKS_OF: Readonly<Record<Proof, Protection>> = {
  look: "cord",
  earth: "earth",
  insulation: "insulation",
};

function ofDeadCheck(
  { checkId, verdict, taken }: Read<"dead-check">,
  { deadChecks }: EnergyContext,
): readonly LineEvent[] {
  const check = deadChecks.get(checkId);
  if (!check) return [];
  const by = `check:${checkId}`;
  return [
    ...(check.needs === "powered" ? liveEvents(taken) : []),
    { event: "checked", checkId, proves: check.proves, verdict },
    ...(verdict === "undecided"
      ? []
      : [{ event: "spoke", of: SPEAKS_OF[check.proves], by, verdict } as const]),
    ...(verdict === "failed"
      ? [
          {
            event: "explained",
            failed: check.proves,
            can: INCIDENTS_OF_CHECK[check.proves],
          } as const,
        ]
      : []),
  ];
}

function ofTool(
  { moveId, taken, finding }: Read<"tool">,
  { moves, proofs }: EnergyContext,
): readonly LineEvent[] {
  const move = moveId === null ? undefined : moves.get(moveId);
  const told = finding.evidence.filter((one) => one.moveId === moveId);
  const spoke = (move?.speaksOf ?? []).flatMap(({ of, failed, passed }) =>
    told.flatMap(({ outcomeId }): LineEvent[] => {
      const verdict = failed.includes(outcomeId)
        ? "failed"
        : passed.includes(outcomeId)
          ? "passed"
          : undefined;
      return verdict ? [{ event: "spoke", of, by: `move:${move?.id}`, verdict }] : [];
    }),
  );
  const explained = told.flatMap(({ outcomeId }) => proofs.get(answerKey(moveId ?? "", outcomeId)) ?? []);
  return [...(move && move.power !== "off" ? liveEvents(taken) : []), ...spoke, ...explained];
}

/** A dead check proves or fails a protection; so may a tool's reading, by the answer it amounts to. */
export const energy: EnergyOf<"reading"> = (payload, context) =>
  payload.of === "dead-check" ? ofDeadCheck(payload, context) : ofTool(payload, context);
