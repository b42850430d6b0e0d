import { type FoldFacts, fold, type Line } from "../../view-part";

type Done = Line<"intervention"> & {
  readonly epoch: number;
  /** Whether it mended nothing but what blew because of something else. */
  readonly isConsequence: boolean;
};

function mendsConsequences(faultIds: readonly string[], { faults }: FoldFacts): boolean {
  const isConsequence = (id: string): boolean =>
    faults.find((fault) => fault.id === id)?.isConsequence === true;
  return faultIds.length > 0 && faultIds.every(isConsequence);
}

export const view = {
  interventions: fold<"intervention", readonly Done[]>([], (lines, facts) =>
    lines.map((line, index) => ({
      ...line,
      epoch: index + 1,
      isConsequence: mendsConsequences(line.faultIds, facts),
    })),
  ),
};
