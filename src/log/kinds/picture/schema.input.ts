import * as yup from "yup";
import { oneOf, text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import type { Upcaster } from "../../versions";

/** A picture that was kept: its bytes lie beside the database under their hash. */
export const schema = strictObject({
  sha256: yup
    .string()
    .label("Picture")
    .required()
    .matches(/^[0-9a-f]{64}$/, "A picture is named by its SHA-256, 64 hexadecimal digits"),
  of: oneOf("Picture of", ["nameplate", "outside", "inside", "wiring", "damage"]),
  width: wholeNumber("Width").required().min(1).max(20_000),
  height: wholeNumber("Height").required().min(1).max(20_000),
  words: text("What it shows", 300),
});

export const versions: readonly Upcaster[] = [];
