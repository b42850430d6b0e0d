import * as yup from "yup";
import { oneOf, taken } from "@/core/fields.input";
import { CIRCUMSTANCES } from "@/core/knowledge/circumstances";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const fields = {
  moveId: yup.string().label("Move").required().max(60),
  /** An outcome of the move, `not-sure` or `could-not`. */
  outcomeId: yup.string().label("Answer").required().max(60),
  circumstance: oneOf("Circumstance", CIRCUMSTANCES),
  taken: taken(),
};

const WHYS = ["", "none-here", "no-instrument", "cannot-reach", "no-power", "other"] as const;

/** What a move showed, or that it said nothing. */
export const schema = strictObject({
  ...fields,
  /** Why it could not be done; empty where it was, or where nobody said. */
  why: yup.string().label("Why not").defined().oneOf(WHYS),
});

/** What a screen posts: why it could not be done only where that was said. */
export const draft = strictObject({ ...fields, why: yup.string().label("Why not").oneOf(WHYS) });

export const versions: readonly Upcaster[] = [withFields({ why: "" })];
