import * as yup from "yup";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ access: yup.string().label("What was opened").required().max(80) });

export const versions: readonly Upcaster[] = [];
