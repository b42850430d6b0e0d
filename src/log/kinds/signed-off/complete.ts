import { signOffWord } from "@/core/job/sign-off/sign-off";
import { ok } from "@/core/result";
import type { Completion } from "../../completion";

/** The word is what the log allows at this moment; the bill is worked out at the rate of the shop. */
export const complete: Completion<"signed-off"> = (draft, { view, shopContext }) => {
  const { word, unproven } = signOffWord(view, {
    deadChecks: shopContext.knowledge.deadChecks,
    limits: shopContext.limits,
  });
  const labourMinor = Math.round((draft.minutes / 60) * shopContext.settings.value.labourRateMinor);
  return ok({ payload: { ...draft, word, unproven, labourMinor } });
};
