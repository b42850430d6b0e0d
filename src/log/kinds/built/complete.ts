import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** A path is put together from stations that exist. */
export const complete: Completion<"built"> = (payload, { shop }) => {
  const known = new Set(shop.knowledge.stations.map(({ id }) => id));
  const unknown = payload.stations.find((id) => !known.has(id));
  if (unknown === undefined) return ok({ payload });
  return fail(
    issue(
      "payload.stations",
      "unknown/station",
      `There is no station "${unknown}": known are ${[...known].join(", ")}.`,
      unknown,
    ),
  );
};
