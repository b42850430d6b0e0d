import * as yup from "yup";
import { calendarDay, oneOf, text } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** How a part stands that had to be bought: ordered, here, or not coming. */
export const schema = strictObject({
  part: yup.string().label("Part").required().max(200),
  state: oneOf("State", ["ordered", "arrived", "cancelled"]),
  from: text("Ordered from", 80),
  /** Day on which it is expected; null where nobody said one. */
  expectedOn: calendarDay("Expected on").nullable().defined(),
});

export const versions: readonly Upcaster[] = [];
