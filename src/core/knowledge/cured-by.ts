import type { Fault, Repair } from "./types";

/** A repair that cures less often than not is no cure: it is what is tried when nothing else is left. */
const LEAST_CURE = 0.5;

/** What a repair has most likely put right, and the least sure of it. */
export interface Cured {
  readonly faultIds: readonly string[];
  readonly success: number;
}

/**
 * The faults that a repair cures: those it is the usual cure of, those it is tried for when that did not hold, and all
 * that sit in what it replaces: a new motor has new bearings.
 * @param faults those that this machine can have
 */
export function curedBy(
  { id, replaces = [] }: Pick<Repair, "id" | "replaces">,
  faults: readonly Fault[],
): Cured {
  const chanceOf = ({ fix, ladder, station }: Fault): number => {
    if (fix.repair === id) return fix.success;
    const rung = ladder.find(({ repair, success }) => repair === id && success >= LEAST_CURE);
    return rung?.success ?? (replaces.includes(station) ? 1 : 0);
  };
  const cured = faults.filter((fault) => chanceOf(fault) > 0);
  const usual = cured.filter(({ fix }) => fix.repair === id);
  // One figure for the repair: the least sure of what it is usually done for.
  const success = Math.min(1, ...(usual.length > 0 ? usual : cured).map(chanceOf));
  return { faultIds: cured.map((fault) => fault.id), success };
}
