import type { ClosedJob } from "../../isolation/shop-counts";
import type { Fault } from "../../knowledge/types";
import type { JobView } from "../log/view";

/** Faults of the list that another of them brings about: what is repaired with it, and no root. */
function broughtAbout(faults: readonly Fault[]): ReadonlySet<string> {
  return new Set(faults.flatMap(({ leadsTo }) => leadsTo.map(({ fault }) => fault)));
}

/**
 * What a closed job teaches: roots shown by a direct proof, or else those that the last repair cures where the machine left
 * "repaired", which it does only after a clean run in the complaint's condition. Nothing while the job is open, or when
 * neither holds.
 */
export function closedJobOf(view: JobView, faults: readonly Fault[]): ClosedJob | undefined {
  const family = view.takenIn?.family;
  if (!view.signedOff || family === undefined) return undefined;
  const own = faults.filter((fault) => fault.families.includes(family));
  const proven = own.filter(({ provenBy }) =>
    provenBy.some((proof) =>
      view.answers.some((one) => one.moveId === proof.moveId && one.outcomeId === proof.outcomeId),
    ),
  );
  const consequences = broughtAbout(proven);
  const shown = proven.filter(({ id }) => !consequences.has(id));
  const cured = view.signedOff.word === "repaired" ? (view.interventions.at(-1)?.faultIds ?? []) : [];
  const roots =
    shown.length > 0
      ? shown.map(({ id }) => ({ fault: id, isProven: true }))
      : cured.map((fault) => ({ fault, isProven: false }));
  if (roots.length === 0) return undefined;
  return {
    family,
    roots,
    present: proven.map(({ id }) => id),
    answers: view.answers
      .filter(({ epoch }) => epoch === 0)
      .map(({ moveId, outcomeId, circumstance }) => ({ moveId, outcomeId, circumstance })),
  };
}
