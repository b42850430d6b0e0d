import type { Move } from "../knowledge/types";
import type { JobView } from "./log/view";

/** Whether the old part had a bleed resistor, as the last reading of it says: the new one then needs it too. */
export function hadResistor(
  { readings }: Pick<JobView, "readings">,
  forPart: "start" | "run",
  moves: readonly Pick<Move, "id" | "part">[],
): boolean {
  const ofPart = new Set(moves.filter(({ part }) => part?.place === forPart).map(({ id }) => id));
  const last = readings.findLast(({ moveId }) => moveId !== null && ofPart.has(moveId));
  return last?.finding.tells?.["bleedResistor"] === true;
}
