import { oneOf, text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

const DAY_S = 86_400;

/** Time at the bench: counted while the job was open and somebody worked on it, or typed to correct that. */
export const schema = strictObject({
  /** Below zero it takes counted time off again. */
  seconds: wholeNumber("Seconds").required().min(-DAY_S).max(DAY_S),
  how: oneOf("How", ["counted", "typed"]),
  why: text("Why", 200),
});

export const versions: readonly Upcaster[] = [];
