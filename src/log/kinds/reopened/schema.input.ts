import * as yup from "yup";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ why: yup.string().label("Why it comes back").required().max(300) });

export const versions: readonly Upcaster[] = [];
