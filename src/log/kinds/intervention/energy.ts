import type { Entry } from "@/core/job/log/entry";
import { ofKind } from "@/core/job/log/lines";
import { RUN } from "@/core/safety/dangers/danger";
import type { DangerEvent } from "@/core/safety/energy-event";
import { PROOFS } from "@/core/safety/proof";
import { spokeOf, testOf } from "../../danger-events";
import { BRAKE, DIRECTION, type EnergyContext, type EnergyOf } from "../../energy-of";
import { explainedOf } from "../../explained-of";
import type { Payloads } from "../../schemas";

/** Stations of parts that keep people from harm and have a reading of their own. */
const PROTECT: readonly string[] = ["protection", "thermal", "interlock"];

/** Whatever may have led to one of these, over however many steps. */
function rootsOf(consequences: readonly string[], faults: EnergyContext["faults"]): readonly string[] {
  const roots = new Set<string>();
  const open = [...consequences];
  for (let id = open.pop(); id !== undefined; id = open.pop())
    for (const fault of faults.values())
      if (!roots.has(fault.id) && fault.leadsTo.some((edge) => edge.fault === id)) {
        roots.add(fault.id);
        open.push(fault.id);
      }
  return [...roots].filter((id) => faults.get(id)?.isConsequence !== true);
}

/** Mended faults of this visit. */
function mendedOf(earlier: readonly Entry[]): ReadonlySet<string> {
  const backSeq = ofKind(earlier, "reopened").at(-1)?.seq ?? 0;
  return new Set(
    ofKind(earlier, "intervention").flatMap(({ seq, payload }) => (seq > backSeq ? payload.faultIds : [])),
  );
}

/** Only what blew was mended: what blew it is open, unless it was mended before. */
function rootOpen(
  faultIds: readonly string[],
  faults: EnergyContext["faults"],
  earlier: readonly Entry[],
): DangerEvent[] {
  const isConsequence = (id: string): boolean => faults.get(id)?.isConsequence === true;
  if (faultIds.length === 0 || !faultIds.every(isConsequence)) return [];
  const roots = rootsOf(faultIds, faults);
  const mended = mendedOf(earlier);
  if (roots.some((id) => mended.has(id))) return [];
  return [
    { event: "danger", kind: "root", place: faultIds.join(" "), remedies: [{ faults: roots }], test: RUN },
  ];
}

/** A part that protects was worked on, and nothing else with it: its own reading is owed. */
function renewed(faultIds: readonly string[], context: EnergyContext): DangerEvent[] {
  const own = faultIds.flatMap((id) => context.faults.get(id) ?? []);
  if (!own.every(({ station }) => PROTECT.includes(station))) return [];
  const tests = own
    .flatMap(({ provenBy }) => provenBy.map(({ moveId }) => moveId))
    .filter((moveId) => context.moves.get(moveId)?.speaksOf.some(({ of }) => of === "own-test"))
    .map((moveId) => testOf(moveId, context));
  return [...new Set(tests)].map((test) => ({
    event: "danger",
    kind: "renewed",
    place: test,
    remedies: [],
    test,
  }));
}

/** What was plainly seen as it was mended is a finding like any other: its look is owed again. */
function seenOf(seen: Payloads["intervention"]["seen"], context: EnergyContext): readonly DangerEvent[] {
  const move = seen && context.moves.get(seen.moveId);
  if (!seen || !move) return [];
  return [...spokeOf(move, seen.outcomeId, context), ...explainedOf(move.id, seen.outcomeId, context)];
}

/**
 * Work owes only what it can spoil, by the stations it was done on; work that names no fault owes all. It mends its faults,
 * and a consequence mends nothing but itself.
 */
export const energy: EnergyOf<"intervention"> = ({ repair, faultIds, seen }, context, earlier) => {
  const { faults, stations, repairs } = context;
  const mayTurnWrong = repairs.get(repair)?.mayReverse === true;
  const isBrake = mayTurnWrong || faultIds.some((id) => faults.get(id)?.isBrake === true);
  const own = faultIds.map((id) => faults.get(id)?.station ?? "");
  const spoils = own.map((id) => stations.get(id)?.spoils ?? PROOFS);
  const owed =
    spoils.length === 0 ? PROOFS : PROOFS.filter((proof) => spoils.some((one) => one.includes(proof)));
  const mends = faultIds.filter((id) => faults.get(id)?.isConsequence !== true);
  return [
    ...seenOf(seen, context),
    { event: "worked", spoils: owed, on: "repair", mends, stations: [...new Set(own)] },
    ...rootOpen(faultIds, faults, earlier),
    ...renewed(faultIds, context),
    ...(isBrake ? [BRAKE] : []),
    ...(mayTurnWrong ? [DIRECTION] : []),
  ];
};
