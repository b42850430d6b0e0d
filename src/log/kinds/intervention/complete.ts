import type { InterventionDone } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { fitsProtectivePart, isMatched } from "@/core/job/protective-part";
import { curedBy } from "@/core/knowledge/cured-by";
import { NOT_KNOWN } from "@/core/knowledge/machine-kind";
import { needOf, repairTouches } from "@/core/knowledge/touches";
import type { Repair } from "@/core/knowledge/types";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Completion, ShopFacts } from "../../completion";
import { noSuchRepair } from "../../no-such-repair";
import type { Drafts } from "../../schemas";

function lookOf({ repair, seen }: Drafts["intervention"], shop: ShopFacts): Result<InterventionDone["seen"]> {
  if (seen === undefined) return ok(null);
  const row = shop.knowledge.seen.find((one) => one.id === seen && one.repair === repair);
  if (row) return ok({ moveId: row.moveId, outcomeId: row.outcomeId });
  const known = shop.knowledge.seen.filter((one) => one.repair === repair).map(({ id }) => id);
  return fail(
    issue(
      "payload.seen",
      "unknown/seen",
      `"${seen}" is nothing that "${repair}" mends: known are ${known.join(", ") || "none"}.`,
      seen,
    ),
  );
}

/** A part that went through Match is known; one that protects and did not is what was said of it, or not checked. */
function partOf(
  repair: Repair,
  said: Drafts["intervention"]["part"],
  view: JobView,
): InterventionDone["part"] {
  if (!fitsProtectivePart(repair)) return "none";
  return isMatched(repair, view) ? "matched" : (said ?? "not-checked");
}

/** A repair that was done: the knowledge says what it cures and how surely. */
export const complete: Completion<"intervention"> = (draft, { view, shop }) => {
  const { repair } = draft;
  const row = shop.knowledge.repairs.find(({ id }) => id === repair);
  if (!row) return noSuchRepair(repair, shop);
  const look = lookOf(draft, shop);
  if (!look.ok) return look;
  const family = view.takenIn?.family ?? "";
  const own = shop.knowledge.faults.filter(
    ({ families }) => family === NOT_KNOWN || families.includes(family),
  );
  const { faultIds, success } = curedBy(row, own);
  const part = partOf(row, draft.part, view);
  return ok({
    payload: {
      repair,
      label: row.done,
      faultIds: [...faultIds],
      success,
      seen: look.value,
      part,
      taken: draft.taken,
    },
    need: needOf(repairTouches(row)),
  });
};
