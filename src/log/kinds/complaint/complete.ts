import { fail, issue, ok } from "@/core/result";
import type { Completion } from "../../completion";

/** Signs are those of the knowledge. */
export const complete: Completion<"complaint"> = (payload, { shop }) => {
  const unknown = payload.signs.find((sign) => !shop.knowledge.signs.some(({ id }) => id === sign));
  return unknown === undefined
    ? ok({ payload })
    : fail(issue("payload.signs", "unknown/sign", `There is no sign "${unknown}".`, unknown));
};
