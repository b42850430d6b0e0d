import * as yup from "yup";
import { oneOf, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** A part taken for the repair, with what was said about its fit when it was chosen. */
export const schema = strictObject({
  forPart: oneOf("For", ["start", "run"]),
  partId: yup.string().label("Part").required().max(80),
  label: yup.string().label("Part").required().max(120),
  fit: oneOf("Fit", ["fit", "note", "temporary"]),
  notes: yup.array(yup.string().required().max(300)).label("Notes").required().max(12),
  priceMinor: wholeNumber("Price").required().min(0).max(1e9),
  days: wholeNumber("Days").required().min(0).max(1000),
});

export const versions: readonly Upcaster[] = [];
