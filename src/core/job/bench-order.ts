import type { Band, NextStep } from "./next-step";

/** A machine as far as its place on the Bench depends on it. */
export interface Placed {
  readonly jobId: number;
  readonly step: NextStep;
}

/** The bands of the Bench from the top. */
export const BAND_ORDER = ["now", "waiting", "due", "gone"] as const satisfies readonly Band[];

/** Late stages first: what is nearest to leaving the bench is done first; the dangerous waits for nobody. */
const CODE_ORDER: readonly string[] = [
  "now/tell-owner",
  "now/danger",
  "now/failed-check",
  "now/part-late",
  "now/owner-no",
  "now/came-back",
  "now/sign-off",
  "now/hand-back",
  "now/run",
  "now/test-again",
  "now/final-tests",
  "now/put-back",
  "now/clip",
  "now/fit",
  "now/run-failed",
  "now/replace",
  "now/after-faulty",
  "now/part-chosen",
  "now/cheaper",
  "now/after-undecided",
  "now/isolate",
  "now/make-safe",
  "now/dead-checks",
  "now/family",
  "now/complaint",
  "now/measured",
  "due/now",
  "due/later",
];

function placeOf({ code }: NextStep): number {
  const place = CODE_ORDER.indexOf(code);
  return place === -1 ? CODE_ORDER.length : place;
}

/** Order within a band: by what is to be done, then by the day it is due, then by number. */
export function inBandOrder(one: Placed, other: Placed): number {
  return (
    placeOf(one.step) - placeOf(other.step) ||
    (one.step.until ?? "").localeCompare(other.step.until ?? "") ||
    one.jobId - other.jobId
  );
}

/** Order of the whole Bench: band by band. */
export function inBenchOrder(one: Placed, other: Placed): number {
  return BAND_ORDER.indexOf(one.step.band) - BAND_ORDER.indexOf(other.step.band) || inBandOrder(one, other);
}
