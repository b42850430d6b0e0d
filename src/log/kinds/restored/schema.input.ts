import { idNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({ seq: idNumber("Line").required() });

export const versions: readonly Upcaster[] = [];
