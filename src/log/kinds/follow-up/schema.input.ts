import * as yup from "yup";
import { calendarDay, oneOf, text } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** Somewhere to come back to. */
export const schema = strictObject({
  about: oneOf("About", ["look-again", "temporary-part"]),
  what: yup.string().label("What to look at").required().max(300),
  onDay: calendarDay("Day").nullable().defined(),
  belowCelsius: finiteNumber().label("Below, °C").nullable().defined().min(-60).max(60),
  afterHours: finiteNumber().label("After hours of running").nullable().defined().moreThan(0).max(100_000),
  condition: text("Condition", 200),
});

export const versions: readonly Upcaster[] = [
  withFields({ about: "look-again", belowCelsius: null, afterHours: null }),
];
