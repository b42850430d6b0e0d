import * as yup from "yup";
import { oneOf, taken } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** What a move showed, or that it said nothing. */
export const schema = strictObject({
  moveId: yup.string().label("Move").required().max(60),
  /** An outcome of the move, `not-sure` or `could-not`. */
  outcomeId: yup.string().label("Answer").required().max(60),
  circumstance: oneOf("Circumstance", ["cold", "hot", "loaded"]),
  taken: taken(),
});

export const versions: readonly Upcaster[] = [];
