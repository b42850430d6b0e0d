import * as yup from "yup";
import { wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** A price that holds for this job: another machine, or the part of a repair. Minor units. */
export const schema = strictObject({
  of: yup.string().label("Price of").required().max(60),
  minor: wholeNumber("Price").required().min(0).max(1e9),
});

export const versions: readonly Upcaster[] = [];
