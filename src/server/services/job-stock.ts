import { randomUUID } from "node:crypto";
import type { Entry } from "@/core/job/log/entry";
import { heldFromShelf } from "@/core/job/shelf-held";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Executor } from "@/server/db/executor";
import {
  addStockMove,
  heldShelfPart,
  type StockRow,
  stockMovesOf,
  takenByJob,
} from "@/server/repositories/shelf";
import type { ShopContext } from "./shop-context";

interface OfJob {
  readonly jobId: number;
  readonly at: string;
  readonly by: string;
}

/** Who took the last of a part, in words. */
async function lastTaker(on: Executor, shelfPartId: string): Promise<string> {
  const last = (await stockMovesOf(on, shelfPartId, 1))[0];
  if (!last || last.count > 0) return "";
  return last.jobId === null ? ` ${last.by} took it out.` : ` It went to job ${last.jobId}, by ${last.by}.`;
}

/**
 * The move that a change of what the job holds comes to; undefined where it comes to none.
 * @param more how many more the job now holds; below 0 what it gives back
 */
async function moveOf(
  on: Executor,
  shelfPartId: string,
  more: number,
  { jobId, at, by }: OfJob,
): Promise<Result<StockRow | undefined>> {
  const kept = await heldShelfPart(on, shelfPartId);
  // A log that came from another shop names parts that this shelf never had.
  if (!kept) return ok(undefined);
  if (more > kept.count)
    return fail(
      issue(
        "payload.partId",
        "shelf/too-few",
        `${kept.place} has ${kept.count === 0 ? "none left" : `only ${kept.count}`} of "${kept.label}".${await lastTaker(on, shelfPartId)}`,
        more,
      ),
    );
  // What this job never took from here is not given back.
  const count = more > 0 ? -more : Math.min(-more, await takenByJob(on, shelfPartId, jobId));
  return ok(count === 0 ? undefined : { id: randomUUID(), shelfPartId, count, reason: "job", jobId, at, by });
}

/**
 * Takes from the shelf what a job holds after a line and did not before, and puts back what it no longer holds. In the
 * line's own transaction, before it is written: where the shelf has too few, nothing is kept.
 */
export async function moveForLine(
  on: Executor,
  before: readonly Entry[],
  line: Entry,
  { knowledge }: Pick<ShopContext, "knowledge">,
): Promise<Result<null>> {
  const was = heldFromShelf(before, knowledge.repairs);
  const is = heldFromShelf([...before, line], knowledge.repairs);
  // Always in the same order, so that two jobs never wait for each other.
  const ids = [...new Set([...was.keys(), ...is.keys()])].sort();
  const moves: StockRow[] = [];
  for (const id of ids) {
    const more = (is.get(id) ?? 0) - (was.get(id) ?? 0);
    const moved = more === 0 ? ok(undefined) : await moveOf(on, id, more, line);
    if (!moved.ok) return moved;
    if (moved.value) moves.push(moved.value);
  }
  for (const one of moves) await addStockMove(on, one);
  return ok(null);
}
