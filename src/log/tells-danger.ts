import type { Move } from "@/core/knowledge/types";

/** Whether an answer says that something can hurt: it is written down in any state, as it was. */
export function tellsDanger(
  { stops, speaksOf }: Pick<Move, "stops" | "speaksOf">,
  outcomeId: string,
): boolean {
  return Object.hasOwn(stops, outcomeId) || speaksOf.some(({ failed }) => failed.includes(outcomeId));
}
