import * as yup from "yup";
import { ID_TEXT } from "@/core/fields.input";

/** A list whose lines are all there. */
export const many = <S extends yup.Schema>(one: S) => yup.array(one.required()).required();
export const word = () => yup.string().required();
/** Text that may be empty. */
export const words = () => yup.string().defined();
export const whole = () => yup.number().integer().required();
export const count = () => yup.number().integer().min(0).required();
export const figure = () => yup.number().required();
export const yes = () => yup.boolean().required();

/** A number in an address, of a job or an owner. */
export const numberIn = (label: string, what: string) =>
  yup
    .string()
    .label(label)
    .required()
    .matches(
      ID_TEXT,
      ({ value }) =>
        `There is no ${what} "${String(value)}": ${label.toLowerCase()} is a whole number such as 118.`,
    );
