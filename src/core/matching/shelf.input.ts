import * as yup from "yup";
import { money, oneOf, text, wholeNumber } from "../fields.input";
import { type Shape, strictObject } from "../validate";
import { typedValues } from "./asked.input";

/** More of one part than any shop keeps. */
const MOST = 10_000;

/** Why something came or went by hand. */
export const MOVE_REASONS = ["put-in", "counted", "taken-out", "taken-back"] as const;

const place = () => yup.string().label("Place").required().max(60);
const price = () => money("Price").integer();
const donor = () =>
  strictObject({
    machine: yup.string().label("Machine it is out of").required().max(80),
    tested: text("What was tested on it", 160),
  })
    .nullable()
    .defined();

/** A part that is put on the shelf: one of the price list, or one described as for a match. */
export const shelvedSchema = strictObject({
  id: yup.string().uuid().label("id").required(),
  family: yup.string().label("Part").required().max(40),
  /** Number in the price list; null for a part that is described. */
  listedId: yup.string().label("Listed part").max(160).nullable().defined(),
  /** Its name on the shelf; empty for the price list's own. */
  label: text("Name", 120),
  marking: text("Marking", 120),
  typed: typedValues(),
  place: place(),
  count: wholeNumber("Count").required().min(1).max(MOST),
  priceMinor: price(),
  supplier: text("Bought from", 80),
  donor: donor(),
  by: yup.string().label("By").required().max(40),
});

/** What may be said otherwise of a part that lies there. */
export const reshelvedSchema = strictObject({
  label: yup.string().label("Name").required().max(120),
  place: place(),
  priceMinor: price(),
  supplier: text("Bought from", 80),
  tested: text("What was tested on it", 160),
  version: wholeNumber("version").required().min(1),
});

/** Something that comes to the shelf or goes from it by hand. */
export const stockMoveSchema = strictObject({
  id: yup.string().uuid().label("id").required(),
  count: wholeNumber("Count")
    .required()
    .min(-MOST)
    .max(MOST)
    .notOneOf([0], "Count is a whole number that is not 0: what comes is above it, what goes below"),
  reason: oneOf("Reason", MOVE_REASONS),
  by: yup.string().label("By").required().max(40),
});

/** A part on the shelf, as a screen gets it. */
export const shelfLineSchema = strictObject({
  id: yup.string().required(),
  family: yup.string().required(),
  familyTitle: yup.string().required(),
  label: yup.string().required(),
  /** Its attributes, in words. */
  said: yup
    .array(strictObject({ label: yup.string().required(), value: yup.string().required() }).required())
    .required(),
  /** Attributes that decide and are not stated: no match takes it while they are needed. */
  unstated: yup.array(yup.string().required()).required(),
  place: yup.string().required(),
  count: yup.number().integer().required(),
  priceMinor: yup.number().integer().required(),
  supplier: yup.string().defined(),
  donor: strictObject({ machine: yup.string().required(), tested: yup.string().defined() })
    .nullable()
    .defined(),
  version: yup.number().integer().required(),
});

/** What came and went of one part. */
export const stockLineSchema = strictObject({
  id: yup.string().required(),
  count: yup.number().integer().required(),
  reason: yup.string().required(),
  jobId: yup.number().integer().nullable().defined(),
  at: yup.string().required(),
  by: yup.string().required(),
});

export type Shelved = Shape<typeof shelvedSchema>;
export type Reshelved = Shape<typeof reshelvedSchema>;
export type StockMove = Shape<typeof stockMoveSchema>;
export type ShelfLine = Shape<typeof shelfLineSchema>;
export type StockLine = Shape<typeof stockLineSchema>;
