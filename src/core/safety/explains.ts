import type { Incident, Protection } from "../knowledge/move-page.input";
import type { Fault } from "../knowledge/types";

/** What a fault can do to whoever switches on: what power did, and what can only be told. */
export type Harm = Incident | "water" | "runs-on";

const DRAWS_MUCH: readonly Incident[] = ["trip", "smoke", "smell"];
const LEAKS: readonly Incident[] = ["residual-trip", "tingle", "trip"];
const GLOWS: readonly Incident[] = ["smoke", "smell"];
const ANY: readonly Incident[] = ["trip", "residual-trip", "smoke", "smell", "tingle"];

/** Conditions that can make power trip, smoke, smell or tingle, each with what it can do; anything else explains none of it. */
const CAUSES: ReadonlyMap<string, Readonly<Record<string, readonly Harm[]>>> = new Map(
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
    breaker: { weak: ["trip", "residual-trip"] },
    outlet: { low: DRAWS_MUCH },
    connection: { resistive: GLOWS },
    "switch-path": { resistive: GLOWS },
    smell: { burnt: GLOWS },
    "stays-on": { yes: ["runs-on"] },
  } satisfies Record<string, Record<string, readonly Harm[]>>),
);

/** Signs of a fault by which it lets water in, or is wet. */
const WET: ReadonlySet<string> = new Set(["damp", "seal-wet"]);

/** Conditions of what feeds the machine: such a cause lies outside it. */
const OUTSIDE: readonly string[] = ["breaker", "outlet"];
const SUPPLIES: readonly string[] = ["supply", "protection"];

type Shows = Pick<Fault, "does" | "modes" | "isConsequence">;

function effectsOf({ does, modes }: Pick<Fault, "does" | "modes">): Fault["does"] {
  return [...does, ...modes.flatMap((mode) => mode.does)];
}

/** What a fault can do in any of its modes: nothing where it is a consequence of another. */
export function harmsOf(fault: Shows): readonly Harm[] {
  if (fault.isConsequence) return [];
  const can = effectsOf(fault).flatMap(({ sets, signs }): Harm[] => [
    ...Object.entries(sets).flatMap(([condition, value]) => CAUSES.get(condition)?.[value] ?? []),
    ...(signs.some((sign) => WET.has(sign)) ? (["water", ...LEAKS] as const) : []),
  ]);
  return [...new Set(can)];
}

/** Whether a fault lies in what feeds the machine. */
export function isOutside(fault: Pick<Fault, "does" | "modes" | "station">): boolean {
  return (
    SUPPLIES.includes(fault.station) &&
    effectsOf(fault).some(({ sets }) => OUTSIDE.some((condition) => condition in sets))
  );
}

/** What power can do where a test or a look fails; a look at cord and casing may have found anything. */
export const HARMS_OF_PROTECTION: Readonly<Record<Protection, readonly Harm[]>> = {
  cord: ANY,
  earth: ["tingle"],
  insulation: LEAKS,
  damp: [...LEAKS, "water"],
  burnt: GLOWS,
  domed: DRAWS_MUCH,
  "runs-on": ["runs-on"],
  bridged: GLOWS,
};
