import * as yup from "yup";
import { calendarDay, oneOf, text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const fields = {
  question: yup.string().label("Question").required().max(300),
  answer: oneOf("Answer", ["asked", "yes", "no"]),
  means: oneOf("By", ["counter", "telephone", "message", "letter"]),
};

/** Where an owner's no leads; empty while nobody said. */
export const OWNER_ENDS = ["", "hand-back", "cheaper", "hold", "scrap", "keep-for-parts"] as const;

const said = {
  /** What it was said to come to, minor units. */
  priceMinor: wholeNumber("Price").nullable().min(0).max(1e9),
  /** Day by which an answer is wanted, or until which it is held. */
  byDay: calendarDay("By when").nullable(),
  leadsTo: yup.string().label("What then").oneOf(OWNER_ENDS),
  /** What the owner answered, in a few words. */
  words: yup.string().label("Their words").max(300),
};

/** What the owner was asked, or answered, and what follows from a no. */
export const schema = strictObject({
  ...fields,
  priceMinor: said.priceMinor.defined(),
  byDay: said.byDay.defined(),
  leadsTo: said.leadsTo.defined(),
  words: text("Their words", 300),
});

/** What a screen posts: what was not said is left out. */
export const draft = strictObject({ ...fields, ...said });

export const versions: readonly Upcaster[] = [
  withFields({ priceMinor: null, byDay: null, leadsTo: "", words: "" }),
];
