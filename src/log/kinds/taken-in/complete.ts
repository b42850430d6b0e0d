import { hazardsLost } from "@/core/job/door/hazards-lost";
import { fail, issue, ok } from "@/core/result";
import { carriedOf } from "../../carried-of";
import type { Completion } from "../../completion";

const SHORTEST = 3;

/** The family, the hazards, the owner and the earlier job that a machine at the door names must exist. */
export const complete: Completion<"taken-in"> = async (draft, { view, shop, services }) => {
  const { family, hazards, from, ownerId } = draft;
  const { families, hazards: known, archetypes } = shop.knowledge;
  const hazard = hazards.find((one) => !known.some(({ id }) => id === one));
  if (hazard !== undefined)
    return fail(issue("payload.hazards", "unknown/hazard", `There is no hazard "${hazard}".`, hazard));
  if (from && !(await services.jobExists(from.jobId)))
    return fail(
      issue("payload.from.jobId", "unknown/job", `There is no job ${from.jobId} to begin from.`, from.jobId),
    );
  if (ownerId !== null && !(await services.ownerExists(ownerId)))
    return fail(issue("payload.ownerId", "unknown/owner", `There is no owner ${ownerId}.`, ownerId));
  if (!families.some(({ id }) => id === family))
    return fail(issue("payload.family", "unknown/family", `There is no motor family "${family}".`, family));
  // Said again, it is the same visit: what came in with the machine stays.
  const earlier = from?.as === "same" ? await services.viewOf(from.jobId) : undefined;
  const before = view.takenIn ?? earlier?.takenIn;
  const lost = before ? hazardsLost(before, draft, archetypes) : [];
  if (lost.length > 0 && draft.whyWithout.trim().length < SHORTEST)
    return fail(
      issue(
        "payload.whyWithout",
        "guard/hazard-struck",
        `Before, it had ${known
          .filter(({ id }) => lost.includes(id))
          .map(({ label }) => label.toLowerCase())
          .join(", ")}: say why it has none, such as "taken off for good".`,
        draft.whyWithout,
      ),
    );
  const carried = view.takenIn?.carried ?? (earlier ? carriedOf(earlier) : []);
  return ok({ payload: { ...draft, carried: [...carried] } });
};
