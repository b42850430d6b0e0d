import type { Incident } from "../knowledge/move-page.input";
import type { Fault } from "../knowledge/types";
import type { Proof } from "./energy-event";

const DRAWS_MUCH: readonly Incident[] = ["trip", "smoke", "smell"];
const LEAKS: readonly Incident[] = ["residual-trip", "tingle", "trip"];
const GLOWS: readonly Incident[] = ["smoke", "smell"];
const ANY: readonly Incident[] = ["trip", "residual-trip", "smoke", "smell", "tingle"];

/** Conditions that can make power trip, smoke, smell or tingle, each with what it can do; anything else explains none of it. */
const CAUSES: ReadonlyMap<string, Readonly<Record<string, readonly Incident[]>>> = new Map(
  Object.entries({
    short: { hard: DRAWS_MUCH },
    "leak-to-frame": { some: LEAKS, hard: LEAKS },
    "earth-bond": { open: ["tingle"] },
    bearing: { locked: DRAWS_MUCH },
    load: { locked: DRAWS_MUCH },
    rub: { rubs: DRAWS_MUCH },
    "start-path": { open: DRAWS_MUCH, weak: DRAWS_MUCH },
    "start-drops-out": { no: DRAWS_MUCH },
    "main-winding": { shorted: DRAWS_MUCH },
    "start-winding": { shorted: DRAWS_MUCH },
    field: { shorted: DRAWS_MUCH },
    armature: { shorted: DRAWS_MUCH },
    wiring: { wrong: ANY },
    breaker: { weak: ["trip"] },
    connection: { resistive: GLOWS },
    smell: { burnt: GLOWS },
  } satisfies Record<string, Record<string, readonly Incident[]>>),
);

/** What power can do because of a fault: nothing where it is a consequence of another. */
export function incidentsOf({
  does,
  isConsequence,
}: Pick<Fault, "does" | "isConsequence">): readonly Incident[] {
  if (isConsequence) return [];
  const can = does.flatMap(({ sets }) =>
    Object.entries(sets).flatMap(([condition, value]) => CAUSES.get(condition)?.[value] ?? []),
  );
  return [...new Set(can)];
}

/** What power can do where a dead check fails; a look at cord and inside may have found anything. */
export const INCIDENTS_OF_CHECK: Readonly<Record<Proof, readonly Incident[]>> = {
  look: ANY,
  earth: ["tingle"],
  insulation: LEAKS,
};
