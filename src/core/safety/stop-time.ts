import { limitOf } from "../knowledge/resolve-limits";
import type { Limits } from "../knowledge/types";
import type { BenchMachine } from "./bench-state";
import type { DangerEvent } from "./energy-event";

/** The limit for machines whose kind has none of its own. */
export const ANY_STOP = "stop-time";
/** The test of a brake. */
export const STOP_TIMED = "stop-time";

/**
 * What a stop that was timed says: within the limit of its kind it is the test of a brake. Over it the brake stays untried, and
 * a machine whose kind has a limit of its own is not used.
 */
export function stopSays(
  seconds: number,
  { stop }: Pick<BenchMachine, "stop">,
  limits: Limits,
): readonly DangerEvent[] {
  if (seconds <= limitOf(limits, stop).value) return [{ event: "tested", tests: [STOP_TIMED] }];
  if (stop === ANY_STOP) return [];
  return [
    { event: "danger", kind: "runs-wrong", place: "brake", remedies: [{ spoils: "look" }], test: STOP_TIMED },
  ];
}
