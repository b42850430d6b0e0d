import * as yup from "yup";
import { money, oneOf, text, wholeNumber } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** What left the shop, and what may be said of it. Money in minor units. */
export const schema = strictObject({
  word: oneOf("Word", ["repaired", "not-yet-proven", "not-repaired", "do-not-use"]),
  unproven: yup.array(yup.string().required().max(60)).label("Unproven").required().max(60),
  minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
  labourMinor: money("Labour"),
  partsMinor: money("Parts"),
  watch: text("What to watch", 1000),
  /** Taken off before tax. */
  discountMinor: money("Discount"),
  /** Of the whole, by the rate of the shop. */
  taxMinor: money("Tax"),
  /** Nothing is asked for it, by choice. */
  isFree: yup.boolean().label("No charge").required(),
  /** What was agreed and not done. */
  leftOut: text("What was left out", 500),
  /** The word was given by the list of dangers; not so before there was one. */
  byDangers: yup.boolean().label("By the list of dangers").required(),
});

/** What a screen posts; the server completes it. */
export const draft = strictObject({
  minutes: finiteNumber().label("Minutes charged").required().min(0).max(100_000),
  partsMinor: wholeNumber("Parts").required().min(0).max(1e9),
  watch: text("What to watch", 1000),
  discountMinor: wholeNumber("Discount").min(0).max(1e9),
  isFree: yup.boolean().label("No charge"),
  leftOut: yup.string().label("What was left out").max(500),
});

export const versions: readonly Upcaster[] = [
  withFields({ discountMinor: 0, taxMinor: 0, isFree: false, leftOut: "" }),
  withFields({ byDangers: false }),
];
