import * as yup from "yup";
import { oneOf, wholeNumber } from "@/core/fields.input";
import { askedSchema } from "@/core/matching/asked.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** Numbers of two parts, where they stand in the place of one. */
const LONGEST_ID = 330;

/** A part taken for the repair, with what was needed of it and what was said about its fit when it was chosen. */
export const schema = strictObject({
  /** Its place: start, run, or the family of the part. */
  forPart: yup.string().label("For").required().max(40),
  partId: yup.string().label("Part").required().max(LONGEST_ID),
  label: yup.string().label("Part").required().max(260),
  fit: oneOf("Fit", ["fit", "note", "temporary"]),
  notes: yup.array(yup.string().required().max(300)).label("Notes").required().max(20),
  /** Of these what the owner has to know: it stands in the letter. */
  ownerNotes: yup.array(yup.string().required().max(300)).label("Notes for the owner").required().max(20),
  priceMinor: wholeNumber("Price").required().min(0).max(1e9),
  days: wholeNumber("Days").required().min(0).max(1000),
  /** What was said of the part that is needed, beside what the job knows; null where nothing was. */
  asked: askedSchema.nullable().defined(),
  /** What of it lay on the shelf: the shelf's parts, how many of each and where; none where all is bought. */
  fromShelf: yup
    .array(
      strictObject({
        id: yup.string().uuid().label("Part on the shelf").required(),
        count: wholeNumber("Count").required().min(1).max(100),
        place: yup.string().label("Place").required().max(60),
      }).required(),
    )
    .label("From the shelf")
    .required()
    .max(4),
});

/** What a screen posts: the server matches it anew and knows where it lies. */
export const draft = strictObject({
  forPart: yup.string().label("For").required().max(40),
  partId: yup.string().label("Part").required().max(LONGEST_ID),
  asked: askedSchema.nullable().defined(),
});

export const versions: readonly Upcaster[] = [
  withFields({ asked: null }),
  withFields({ fromShelf: [] }),
  withFields({ ownerNotes: [] }),
];
