import type { Parameters } from "../knowledge/parameters";
import type { Access, Move } from "../knowledge/types";

/** How the machine stands, as far as the way to a move depends on it. */
export interface Standing {
  readonly isDead: boolean;
  readonly isDrained: boolean;
  readonly opened: readonly string[];
}

/** Minutes from the way the machine stands to the state that a move needs. */
export function stateChangeMinutes(
  move: Move,
  standing: Standing,
  access: readonly Access[],
  parameters: Parameters,
): number {
  const isLive = move.tier > 1;
  const unplugging = parameters["unplugging-minutes"];
  const opening =
    move.access === undefined || standing.opened.includes(move.access)
      ? 0
      : (access.find(({ id }) => id === move.access)?.minutes ?? 0);
  if (isLive) return opening + (standing.isDead ? parameters["plugging-minutes"] : 0);
  if (move.needs === "none") return opening;
  const isReady = standing.isDead && (move.needs === "plug-out" || standing.isDrained);
  return opening + (isReady ? 0 : unplugging);
}

/** How the machine stands once a move is done. */
export function standingAfter(move: Move, standing: Standing): Standing {
  const opened = move.access === undefined ? standing.opened : [...standing.opened, move.access];
  if (move.tier > 1) return { isDead: false, isDrained: false, opened };
  if (move.needs === "none") return { ...standing, opened };
  return { isDead: true, isDrained: standing.isDrained || move.needs === "hands-inside", opened };
}
