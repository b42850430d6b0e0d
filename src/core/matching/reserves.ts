import { limitOf } from "../knowledge/resolve-limits";
import type { JobFacts } from "./facts";
import type { Family, Known, Reserve } from "./family";
import { type Fit, type MatchContext, worstOf } from "./judge";
import type { Requirement } from "./needs";

/** A need with what its family says of it as a whole: what is kept open, and what is said with all that fits. */
export interface Reserved {
  readonly requirement: Requirement;
  readonly notes: readonly string[];
}

/** How well something fits where a note is said with all that does. */
export const withNotes = (fit: Fit, notes: readonly string[]): Fit =>
  notes.length > 0 ? worstOf([fit, "note"]) : fit;

/** A need held against what its family reserves: an attribute that is kept stays open, with why. */
export function reserved(
  family: Family,
  requirement: Requirement,
  facts: JobFacts,
  { limits }: MatchContext,
): Reserved {
  const known: Readonly<Record<string, Known>> = Object.fromEntries(
    requirement.needed.map(({ id, value, from }) => [id, { value, from }]),
  );
  const reserves = family.reserves?.(known, facts, (row) => limitOf(limits, row)) ?? [];
  const keeps = new Map(
    reserves.flatMap((one): [string, Reserve][] => (one.keeps ? [[one.attribute, one]] : [])),
  );
  const needed = requirement.needed.map((one) => {
    const kept = keeps.get(one.id);
    return kept ? { ...one, value: undefined, from: undefined, said: kept.said, sure: 0 } : one;
  });
  return {
    requirement: { ...requirement, needed },
    notes: reserves.filter(({ keeps: isKept }) => !isKept).map(({ said }) => said),
  };
}
