import type { From } from "@/core/matching/source";

/** Where a value comes from. */
export const FROM_WORDS: Readonly<Record<From, string>> = {
  measured: "measured",
  marked: "marked",
  plate: "plate",
  "worked-out": "follows",
  sheet: "sheet",
  assumed: "assumed",
};

/** How sure a value is, from 0 to 1, in words. */
export const howSure = (sure: number): string =>
  sure >= 0.9 ? "sure" : sure >= 0.6 ? "fairly sure" : sure > 0 ? "assumed" : "not known";
