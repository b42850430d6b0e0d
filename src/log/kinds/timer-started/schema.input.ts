import { oneOf, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

export const schema = strictObject({
  what: oneOf("Timer for", ["cool-down", "drain", "warm-run"]),
  seconds: wholeNumber("Seconds").required().min(1).max(86_400),
});

export const versions: readonly Upcaster[] = [];
