import type { BenchNeed } from "../../knowledge/touches";
import type { RemovedSort } from "../log/entry";
import type { ToPutBack } from "./put-back";

/** A cover is taken off or put on from outside: nothing turns under the hand, nothing lets go. */
export const COVER_NEED: BenchNeed = "turning";

/** What lies under the covers is drained as well. */
export const UNDER_COVERS: BenchNeed = "turning-inside";

/** What must be settled before hands take this off, or put it back. */
export function needToTouch(sort: RemovedSort): BenchNeed {
  return sort === "cover" || sort === "fastener" || sort === "mark" ? COVER_NEED : UNDER_COVERS;
}

/** The same for the next thing that goes back: a line of what came off, or a cover. */
export function needToPutBack(
  { line }: Pick<ToPutBack, "line">,
  removed: readonly { readonly seq: number; readonly sort: RemovedSort }[],
): BenchNeed {
  const off = removed.find(({ seq }) => seq === line);
  return off ? needToTouch(off.sort) : COVER_NEED;
}
