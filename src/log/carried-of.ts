import type { JobView } from "@/core/job/log/view";
import { type Danger, openDangers, RUN } from "@/core/safety/dangers/danger";
import { type Carried, fittedTest } from "./carried.input";

/** Dangers of this visit alone: lines, charge and clips of the bench. */
const STAYS: ReadonlySet<Danger["kind"]> = new Set<Danger["kind"]>([
  "live",
  "charged",
  "clip-under-power",
  "left-plugged-in",
  "contradiction",
]);

/** What stands open on a machine that leaves, as it comes in again. A run closes only what was mended on its own visit. */
export function carriedOf({ live, removed }: Pick<JobView, "live" | "removed">): readonly Carried[] {
  return openDangers(live.dangers)
    .filter(({ kind }) => !STAYS.has(kind))
    .map(({ kind, place, test, remedies, remediedBy, runMinutes }) => {
      const off = removed.find(({ seq }) => test === `line:${seq}`);
      const objects = remedies.filter((one) => typeof one === "object");
      return {
        kind,
        place: off ? fittedTest(off.what) : place,
        test: off ? fittedTest(off.what) : test,
        faults: objects.flatMap((one) => ("faults" in one ? one.faults : [])),
        stations: objects.flatMap((one) => ("stations" in one ? one.stations : [])),
        spoils: objects.flatMap((one) => ("spoils" in one ? [one.spoils] : [])),
        isMended: remediedBy > 0 && test !== RUN,
        afterMinutes: runMinutes,
      };
    });
}
