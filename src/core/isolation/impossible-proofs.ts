import { CIRCUMSTANCES } from "../knowledge/circumstances";
import { keysOf } from "../knowledge/modes";
import type { Knowledge } from "../knowledge/types";
import { type Issue, issue } from "../result";
import { meets } from "./outcome-table";
import { machineState } from "./power-path";

/**
 * Proofs that the fault they prove never gives: in no circumstance does the fault alone make the answer one that its
 * case names. Such a proof could only ever be said by mistake.
 */
export function impossibleProofs(knowledge: Pick<Knowledge, "faults" | "moves">): Issue[] {
  const moves = new Map(knowledge.moves.map((move) => [move.id, move]));
  return knowledge.faults.flatMap((fault) => {
    const { id, provenBy } = fault;
    const states = keysOf(fault).flatMap((key) =>
      CIRCUMSTANCES.map((circumstance) => machineState([key], circumstance, knowledge)),
    );
    return provenBy
      .filter(({ moveId, outcomeId }) =>
        states.every((state) => {
          const held = moves.get(moveId)?.cases.find(({ when }) => meets(when, state));
          return (held?.chances[outcomeId]?.p ?? 0) === 0;
        }),
      )
      .map(({ moveId, outcomeId }) =>
        issue(
          `faults/${id}`,
          "knowledge/impossible-proof",
          `faults/${id}.yaml: its proof "${moveId}: ${outcomeId}" is an answer that this fault alone never gives.`,
          outcomeId,
        ),
      );
  });
}
