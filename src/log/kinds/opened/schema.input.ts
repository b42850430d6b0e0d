import * as yup from "yup";
import { taken } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** A cover that was opened: the name it has at this bench, and which access of the knowledge it is. */
export const schema = strictObject({
  access: yup.string().label("What was opened").required().max(80),
  /** Id of the access, `none` for one that no move asks for, `not-said` in lines of before it was asked. */
  is: yup.string().label("Which cover it is").required().max(60),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [
  withFields({ is: "not-said" }),
  withFields({ taken: "afterwards" }),
];
