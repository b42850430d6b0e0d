import * as yup from "yup";
import { oneOf, text, wholeNumber } from "@/core/fields.input";
import { STRIKE_REASONS } from "@/core/job/log/strike-reasons";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** A line that does not count any more, and why: `slip` within the seconds of undo. */
export const schema = strictObject({
  seq: wholeNumber("Line").required().min(1),
  why: text("Why", 300),
  reason: oneOf("Reason", ["none", "slip", ...STRIKE_REASONS]),
});

/** What a screen posts: a line that took nothing away goes without a reason. */
export const draft = schema.shape({
  reason: yup
    .string()
    .label("Reason")
    .oneOf(["none", "slip", ...STRIKE_REASONS] as const),
});

export const versions: readonly Upcaster[] = [withFields({ reason: "none" })];
