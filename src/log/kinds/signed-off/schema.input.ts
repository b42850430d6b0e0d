import * as yup from "yup";
import { money, oneOf, text, wholeNumber } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** What left the shop, and what may be said of it. Money in minor units. */
export const schema = strictObject({
  word: oneOf("Word", ["repaired", "not-yet-proven", "not-repaired", "do-not-use"]),
  unproven: yup.array(yup.string().required().max(60)).label("Unproven").required().max(20),
  minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
  labourMinor: money("Labour"),
  partsMinor: money("Parts"),
  watch: text("What to watch", 1000),
});

/** What a screen posts; the server completes it. */
export const draft = strictObject({
  minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
  partsMinor: wholeNumber("Parts").required().min(0).max(1e9),
  watch: text("What to watch", 1000),
});

export const versions: readonly Upcaster[] = [];
