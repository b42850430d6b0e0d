import * as yup from "yup";
import { finiteNumber, strictObject } from "../validate";

export const words = () => yup.string().required().max(400);
export const ids = () => yup.array(yup.string().required()).required();
export const chance = () => finiteNumber().required().min(0).max(1);
export const oneOf = <T extends string>(values: readonly T[]) => yup.string().oneOf(values).required();

export const ID_PATTERN = /^[a-z0-9]+(-[a-z0-9]+)*$/;

/** Where a page or row comes from, and who has held it against that source and when. */
export const provenance = () =>
  strictObject({
    basis: oneOf(["standard", "manufacturer", "literature", "counted", "judgement"] as const),
    source: yup.string().required(),
    place: yup.string(),
    reviewed: strictObject({
      by: yup.string().required().max(80),
      on: yup
        .string()
        .required()
        .matches(/^\d{4}-\d\d-\d\d$/, "a day of review is written year-month-day"),
    })
      .nullable()
      .defined(),
  }).required();

/** An object whose keys are ids: what they may be is held by cross-references.ts. */
export const table = <S extends yup.ISchema<unknown>>(value: S) =>
  yup.lazy((given: unknown) => yup.object(rowsFor(given, value)).required());

/** The same where it may be left out. */
export const optionalTable = <S extends yup.ISchema<unknown>>(value: S) =>
  yup.lazy((given: unknown) => yup.object(rowsFor(given, value)).optional().default(undefined));

function rowsFor<S extends yup.ISchema<unknown>>(given: unknown, value: S): Record<string, S> {
  const keys = typeof given === "object" && given !== null ? Object.keys(given) : [];
  return Object.fromEntries(keys.map((key) => [key, value]));
}
