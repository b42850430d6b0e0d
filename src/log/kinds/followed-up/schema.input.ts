import { idNumber, oneOf, text } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** What became of a follow-up: how it was found when it was looked at again. */
export const schema = strictObject({
  line: idNumber("Line").required(),
  result: oneOf("Found", ["good", "came-back", "let-go"]),
  words: text("What was found", 500),
});

export const versions: readonly Upcaster[] = [];
