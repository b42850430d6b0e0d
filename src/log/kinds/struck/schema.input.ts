import { text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ seq: wholeNumber("Line").required().min(1), why: text("Why", 300) });

export const versions: readonly Upcaster[] = [];
