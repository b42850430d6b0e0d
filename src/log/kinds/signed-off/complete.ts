import { signOffWord } from "@/core/job/sign-off";
import { ok } from "@/core/result";
import type { Completion } from "../../completion";

/** The word is what the log allows at this moment; the bill is worked out at the rate of the shop. */
export const complete: Completion<"signed-off"> = (draft, { view, ground }) => {
  const { word, unproven } = signOffWord(view, ground.knowledge);
  const labourMinor = Math.round((draft.minutes / 60) * ground.settings.value.labourRateMinor);
  return ok({ payload: { ...draft, word, unproven, labourMinor } });
};
