import { idNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { pinFields } from "../../pin.input";
import type { Upcaster } from "../../versions";

/** A line that came off, shown on a picture taken since. */
export const schema = strictObject({ line: idNumber("Line").required(), ...pinFields });

export const versions: readonly Upcaster[] = [];
