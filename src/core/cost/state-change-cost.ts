import type { Parameters } from "../knowledge/parameters";
import { partsOf } from "../knowledge/touches";
import type { Access, Move } from "../knowledge/types";

/** How the machine stands, as far as the way to a move depends on it. */
export interface MachineState {
  readonly isDead: boolean;
  readonly isDrained: boolean;
  readonly opened: readonly string[];
}

/** Minutes from the way the machine stands to the state that a move needs. */
export function stateChangeMinutes(
  move: Move,
  machineState: MachineState,
  access: readonly Access[],
  parameters: Parameters,
): number {
  const isLive = move.tier > 1;
  const unplugging = parameters["unplugging-minutes"];
  const opening =
    move.access === undefined || machineState.opened.includes(move.access)
      ? 0
      : (access.find(({ id }) => id === move.access)?.minutes ?? 0);
  if (isLive) return opening + (machineState.isDead ? parameters["plugging-minutes"] : 0);
  if (move.needs === "none") return opening;
  const isReady = machineState.isDead && (!partsOf(move.needs).isDrained || machineState.isDrained);
  return opening + (isReady ? 0 : unplugging);
}

/** How the machine stands once a move is done. */
export function machineStateAfter(move: Move, machineState: MachineState): MachineState {
  const opened = move.access === undefined ? machineState.opened : [...machineState.opened, move.access];
  if (move.tier > 1) return { isDead: false, isDrained: false, opened };
  if (move.needs === "none") return { ...machineState, opened };
  return { isDead: true, isDrained: machineState.isDrained || partsOf(move.needs).isDrained, opened };
}
