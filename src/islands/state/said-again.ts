import type { TakenIn } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";

/** The line alone, with what is said otherwise, without the place it has in the log and what the server adds to it. */
export function saidAgain(
  { seq: _seq, at: _at, by: _by, carried: _carried, ...line }: NonNullable<JobView["takenIn"]>,
  change: Partial<Omit<TakenIn, "carried">>,
): Omit<TakenIn, "carried"> {
  return { ...line, whyWithout: "", ...change };
}
