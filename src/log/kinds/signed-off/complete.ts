import { billOf } from "@/core/job/sign-off/bill";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { ok } from "@/core/result";
import type { Completion } from "../../completion";

/** The word is what the log allows at this moment; the bill is worked out at the rates of the shop. */
export const complete: Completion<"signed-off"> = (draft, { view, shop }) => {
  const { word, unproven } = signOffWord(view, {
    deadChecks: shop.knowledge.deadChecks,
    limits: shop.limits,
  });
  const { labourRateMinor, taxPercent } = shop.settings.value;
  const { minutes, partsMinor, watch, discountMinor = 0, isFree = false, leftOut = "" } = draft;
  const labourMinor = Math.round((minutes / 60) * labourRateMinor);
  const { tax: taxMinor } = billOf(view, { labourMinor, partsMinor, discountMinor, isFree, taxPercent });
  const payload = {
    minutes,
    partsMinor,
    watch,
    discountMinor,
    isFree,
    leftOut,
    word,
    unproven,
    labourMinor,
    taxMinor,
    byDangers: true,
  };
  return ok({ payload });
};
