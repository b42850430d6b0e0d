import * as yup from "yup";
import { oneOf, text } from "@/core/fields.input";
import { finiteNumber, strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({
  signs: yup.array(yup.string().required().max(60)).label("Signs").required().max(30),
  circumstance: oneOf("When it happens", [
    "always",
    "cold",
    "hot",
    "after-minutes",
    "loaded",
    "wet",
    "sometimes",
    "not-known",
  ]),
  afterMinutes: finiteNumber().label("After how many minutes").nullable().defined().min(0).max(10_000),
  words: text("Owner's words", 2000),
});

export const versions: readonly Upcaster[] = [];
