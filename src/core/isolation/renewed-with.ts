import { LEAST_CURE } from "../cost/trial-cost";
import type { RepairGroups } from "./repair-groups";

/** Repairs of what a fault brought about, and the cure of the fault that they are made with. */
export interface Renewed {
  readonly repairs: readonly string[];
  /** Its repairs, in order, parted by commas. */
  readonly cure: string;
}

interface Tried {
  readonly group: number;
  readonly chance: number;
  readonly cures: number;
}

/**
 * What blew because of something else is renewed with that cure: once that was tried it is no trial of its own any more,
 * and what little it would have cured is cured with it.
 */
export function withRenewed<T extends Tried>(
  trials: readonly T[],
  repairs: RepairGroups["repairs"],
  renewed: Renewed | undefined,
): readonly T[] {
  const nameOf = ({ group }: T): string => repairs[group]?.join() ?? "";
  const cure = trials.find((trial) => nameOf(trial) === renewed?.cure);
  if (!cure || !renewed) return trials;
  const gone = trials.filter((trial) => trial.cures < LEAST_CURE && renewed.repairs.includes(nameOf(trial)));
  const chance = gone.reduce((sum, one) => sum + one.chance, cure.chance);
  const cures = gone.reduce((sum, one) => sum + one.cures, cure.cures);
  return trials.flatMap((trial) => {
    if (trial === cure) return [{ ...trial, chance, cures }];
    return gone.includes(trial) ? [] : [trial];
  });
}
