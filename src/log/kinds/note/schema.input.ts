import * as yup from "yup";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ text: yup.string().label("Note").required().max(4000) });

export const versions: readonly Upcaster[] = [];
