import { NOT_KNOWN } from "@/core/isolation/machine-model";
import type { InterventionDone } from "@/core/job/entry";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Ground } from "@/server/services/ground";
import { noSuchRepair } from "@/server/services/no-such-repair";
import type { Completion } from "../../completion";
import type { Drafts } from "../../schemas";

function lookOf({ repair, seen }: Drafts["intervention"], ground: Ground): Result<InterventionDone["seen"]> {
  if (seen === undefined) return ok(null);
  const row = ground.knowledge.seen.find((one) => one.id === seen && one.repair === repair);
  if (row) return ok({ moveId: row.moveId, outcomeId: row.outcomeId });
  const known = ground.knowledge.seen.filter((one) => one.repair === repair).map(({ id }) => id);
  return fail(
    issue(
      "payload.seen",
      "unknown/seen",
      `"${seen}" is nothing that "${repair}" mends: known are ${known.join(", ") || "none"}.`,
      seen,
    ),
  );
}

/** A repair that was done: the knowledge says what it cures and how surely. */
export const complete: Completion<"intervention"> = (draft, { view, ground }) => {
  const { repair } = draft;
  const row = ground.knowledge.repairs.find(({ id }) => id === repair);
  if (!row) return noSuchRepair(repair, ground);
  const look = lookOf(draft, ground);
  if (!look.ok) return look;
  const family = view.takenIn?.family ?? "";
  const cured = ground.knowledge.faults.filter(
    ({ fix, families }) => fix.repair === repair && (family === NOT_KNOWN || families.includes(family)),
  );
  // One figure for the repair: the least sure of what it may have cured.
  const success = Math.min(1, ...cured.map(({ fix }) => fix.success));
  return ok({ payload: { label: row.done, faultIds: cured.map(({ id }) => id), success, seen: look.value } });
};
