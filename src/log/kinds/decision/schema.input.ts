import * as yup from "yup";
import { money, oneOf, text } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

/** Routes that can be taken; one more measurement is made, not decided. */
const ROUTES = [
  "part",
  "clean",
  "pair",
  "donor",
  "then-motor",
  "motor",
  "assembly",
  "hold",
  "retest",
  "replace",
  "second-hand",
  "trade",
  "stop",
] as const;
const AGAINST = [...ROUTES, "measure"] as const;

/** The route taken, with what it was held against when it was taken. Minor units, unrounded. */
export const schema = strictObject({
  route: oneOf("Route", ROUTES),
  repairs: yup.array(yup.string().required().max(60)).label("Repairs").required().max(10),
  label: yup.string().label("Route").required().max(200),
  mean: money("Expected cost"),
  wrong: finiteNumber().label("Chance of being wrong").required().min(0).max(1),
  against: strictObject({ route: oneOf("Against", AGAINST), mean: money("Expected cost") }).required(),
  overrideWhy: text("Why without proof", 300),
  /** Why another route than the cheapest; empty where it is the cheapest. */
  otherWhy: text("Why another", 300),
});

/** What a screen posts; the server completes it. */
export const draft = strictObject({
  route: oneOf("Route", ROUTES),
  /** Another first repair than the cheapest, where one is wanted. */
  repair: yup.string().label("Repair").max(60),
  overrideWhy: text("Why without proof", 300),
  otherWhy: yup.string().label("Why another").max(300),
});

export const versions: readonly Upcaster[] = [withFields({ otherWhy: "" })];
