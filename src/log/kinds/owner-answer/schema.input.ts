import * as yup from "yup";
import { oneOf } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({
  question: yup.string().label("Question").required().max(300),
  answer: oneOf("Answer", ["asked", "yes", "no"]),
  means: oneOf("By", ["counter", "telephone", "message", "letter"]),
});

export const versions: readonly Upcaster[] = [];
