import * as yup from "yup";
import { finiteNumber } from "../validate";

export const text = (label: string, max: number) => yup.string().label(label).defined().max(max);
export const oneOf = <T extends string>(label: string, values: readonly T[]) =>
  yup.string().label(label).oneOf(values).required();
export const wholeNumber = (label: string) => yup.number().label(label).integer();

export const money = (label: string) => finiteNumber().label(label).required().min(0).max(1e9);
