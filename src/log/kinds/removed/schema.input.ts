import * as yup from "yup";
import { oneOf, taken, text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { pinFields } from "../../pin.input";
import { type Upcaster, withFields } from "../../versions";

/** Something taken off the machine, in the order it came off. */
export const schema = strictObject({
  sort: oneOf("Sort", ["cover", "fastener", "connector", "wire", "mark", "part", "seal", "washer"]),
  what: yup.string().label("What came off").required().max(120),
  count: wholeNumber("Count").required().min(1).max(500),
  where: text("Where it lies", 120),
  drive: text("Drive", 40),
  colour: text("Colour", 40),
  terminal: text("Terminal", 40),
  torque: text("How tight", 80),
  adhesive: text("Glue or lock", 80),
  pin: strictObject(pinFields).nullable().defined(),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [
  withFields({ drive: "", colour: "", terminal: "", torque: "", adhesive: "", pin: null }),
  withFields({ taken: "afterwards" }),
];
