import * as yup from "yup";
import { idNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** The order in which what is off goes back, first one first. */
export const schema = strictObject({
  lines: yup.array(idNumber("Line").required()).label("Order").required().min(1).max(500),
});

export const versions: readonly Upcaster[] = [];
