import { ok } from "@/core/result";
import { noSuchRepair } from "@/server/services/no-such-repair";
import type { Completion } from "../../completion";

/** A price is that of another machine, or of a repair that exists. */
export const complete: Completion<"priced"> = (payload, { shopContext }) => {
  const { of } = payload;
  const isKnown = of === "machine" || shopContext.knowledge.repairs.some(({ id }) => id === of);
  return isKnown ? ok({ payload }) : noSuchRepair(of, shopContext);
};
