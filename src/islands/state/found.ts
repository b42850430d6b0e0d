import { atom } from "nanostores";
import type { Isolation } from "@/core/isolation/isolate";
import type { Found } from "@/core/job/isolation/next-found";
import type { Estimate } from "@/core/job/sign-off/estimate";

/** What isolation last said on this screen of the way on; undefined where no screen has asked it. */
export const $found = atom<Found | undefined>(undefined);

export function foundOf(
  jobId: number,
  { stop, moves, beforeOrder }: Isolation,
  ask: Estimate | undefined,
): Found {
  return {
    ask,
    jobId,
    isStop: stop.advised,
    moveId: moves[0]?.moveId,
    beforeOrder: beforeOrder.map(({ moveId }) => moveId),
  };
}
