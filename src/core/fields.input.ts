import * as yup from "yup";
import { finiteNumber } from "./validate";

export const text = (label: string, max: number) => yup.string().label(label).defined().max(max);
export const oneOf = <const T extends string>(label: string, values: readonly T[]) =>
  yup.string().label(label).oneOf(values).required();
/** The largest whole number that a column holds. */
export const MOST_WHOLE = 2_147_483_647;
export const wholeNumber = (label: string) => yup.number().label(label).integer().max(MOST_WHOLE);
/** The number of a job, an owner or a line, as it is written in an address. */
export const ID_TEXT = /^[1-9]\d{0,8}$/;
/** The number that an address names; undefined where it names none. */
export function idIn(written: string | undefined): number | undefined {
  return written !== undefined && ID_TEXT.test(written) ? Number(written) : undefined;
}
/** The number of a job, an owner or a line. */
export const idNumber = (label: string) => wholeNumber(label).min(1);

export const money = (label: string) => finiteNumber().label(label).required().min(0).max(1e9);

/** A day of the calendar, as year-month-day. */
export const calendarDay = (label: string) =>
  yup
    .string()
    .label(label)
    .matches(
      /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/,
      `${label} is written year-month-day, such as 2026-12-03`,
    );

const TAKEN = ["now", "afterwards"] as const;
/** `afterwards`: done earlier, without the bench state on record. */
export const taken = () => oneOf("Taken", TAKEN);

/** An object that another schema reads: kept as it was given. */
export const rawObject = (label: string, any: string) =>
  yup
    .mixed<Readonly<Record<string, unknown>>>(
      (given): given is Readonly<Record<string, unknown>> =>
        typeof given === "object" && given !== null && !Array.isArray(given),
    )
    .label(label)
    .required()
    .meta({ any });

/** One of several shapes, told apart by a tag. The tag's own message names the shapes there are. */
export function byTag<T extends Readonly<Record<string, yup.Schema>>>(
  tag: string,
  shapes: T,
): yup.Lazy<yup.InferType<T[keyof T]>> {
  const known = Object.keys(shapes);
  const unknown = yup.object({ [tag]: yup.string().oneOf(known).required() }).required();
  return yup
    .lazy((value: unknown) => {
      const given: unknown =
        typeof value === "object" && value !== null
          ? Object.entries(value).find(([key]) => key === tag)?.[1]
          : undefined;
      return (
        (typeof given === "string" && Object.hasOwn(shapes, given) ? shapes[given] : undefined) ?? unknown
      );
    })
    .meta({ oneOf: Object.values(shapes) }) as unknown as yup.Lazy<yup.InferType<T[keyof T]>>;
}
