import { wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ seq: wholeNumber("Line").required().min(1) });

export const versions: readonly Upcaster[] = [];
