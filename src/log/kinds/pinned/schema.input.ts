import { wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { pinFields } from "../../pin.input";
import type { Upcaster } from "../../versions";

/** A line that came off, shown on a picture taken since. */
export const schema = strictObject({ line: wholeNumber("Line").required().min(1), ...pinFields });

export const versions: readonly Upcaster[] = [];
