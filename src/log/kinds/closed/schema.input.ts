import * as yup from "yup";
import { taken } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

export const schema = strictObject({
  access: yup.string().label("What was opened").required().max(80),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [withFields({ taken: "afterwards" })];
