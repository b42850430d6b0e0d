import * as yup from "yup";
import { oneOf, text } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const day = yup
  .string()
  .label("Day")
  .nullable()
  .defined()
  .matches(
    /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/,
    "Day is written year-month-day, such as 2026-12-03",
  );

/** Somewhere to come back to. */
export const schema = strictObject({
  about: oneOf("About", ["look-again", "temporary-part"]),
  what: yup.string().label("What to look at").required().max(300),
  onDay: day,
  belowCelsius: finiteNumber().label("Below, °C").nullable().defined().min(-60).max(60),
  afterHours: finiteNumber().label("After hours of running").nullable().defined().moreThan(0).max(100_000),
  condition: text("Condition", 200),
});

export const versions: readonly Upcaster[] = [
  withFields({ about: "look-again", belowCelsius: null, afterHours: null }),
];
