import * as yup from "yup";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({
  what: yup.string().label("What").required().max(120),
  why: yup.string().label("Why").required().max(300),
});

export const versions: readonly Upcaster[] = [];
