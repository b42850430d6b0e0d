import * as yup from "yup";
import { wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const of = () => yup.string().label("Price of").required().max(60);
const minor = (label: string) => wholeNumber(label).min(0).max(1e9);

/**
 * A figure that holds for this job: another machine, an hour, a day without it, an offer, or the part of a repair; on
 * average, with the ends within which it lies where they were said. Minor units.
 */
export const schema = strictObject({
  of: of(),
  minor: minor("Price").required(),
  low: minor("At least").nullable().defined(),
  high: minor("At most").nullable().defined(),
});

/** What a screen posts: ends that were not said are left out. */
export const draft = strictObject({
  of: of(),
  minor: minor("Price").required(),
  low: minor("At least").nullable(),
  high: minor("At most").nullable(),
});

export const versions: readonly Upcaster[] = [withFields({ low: null, high: null })];
