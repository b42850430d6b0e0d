import type { NextStep } from "../next-step";
import type { Estimate } from "../sign-off/estimate";

/** What isolation says of the way on, where it has been worked out on this screen. */
export interface Found {
  readonly jobId: number;
  /** No move left is worth its price. */
  readonly isStop: boolean;
  /** The move it would make next. */
  readonly moveId: string | undefined;
  /** What is still to be looked at before a part is ordered. */
  readonly beforeOrder: readonly string[];
  /** What the owner is to be asked about before more is done. */
  readonly ask: Estimate | undefined;
}

/** Steps that may cost the owner more than was said at the door. */
const COSTING: ReadonlySet<string> = new Set(["now/after-faulty", "now/part-chosen"]);

/** Steps that say only that the search goes on: isolation knows with which move. */
const SEARCHING: ReadonlySet<string> = new Set([
  "now/isolate",
  "now/measured",
  "now/family",
  "now/run-failed",
  "now/failed-check",
  "now/danger",
  // The move's own card asks for what it needs made safe.
  "now/make-safe",
]);

function toMove(moveId: string, code: string, moves: readonly { id: string; title: string }[]): NextStep {
  const title = moves.find(({ id }) => id === moveId)?.title ?? moveId;
  return { band: "now", stage: "isolate", code, params: { title }, at: `move:${moveId}` };
}

/** The Bench's own next step, with what isolation knows beyond the log: which move, what before the order, that it ends. */
export function withFound(
  step: NextStep,
  found: Found | undefined,
  moves: readonly { readonly id: string; readonly title: string }[],
): NextStep {
  if (!found) return step;
  if (found.ask && (SEARCHING.has(step.code) || COSTING.has(step.code)))
    return { band: "now", stage: "decide", code: "now/ask-owner", params: {}, at: "owner" };
  const [before] = found.beforeOrder;
  if (step.code === "now/after-faulty" && before !== undefined)
    return toMove(before, "now/before-order", moves);
  if (!SEARCHING.has(step.code)) return step;
  if (found.isStop) return { band: "now", stage: "decide", code: "now/decide", params: {} };
  return found.moveId === undefined ? step : toMove(found.moveId, "now/move", moves);
}
