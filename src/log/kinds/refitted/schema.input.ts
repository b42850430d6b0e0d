import * as yup from "yup";
import { oneOf, taken, text, wholeNumber } from "@/core/fields.input";
import { strictObject } from "@/core/validate";
import { type Upcaster, withFields } from "../../versions";

const leftOutHasWhy = {
  name: "why",
  message: "Why it is left out must be said.",
  // The field's own test tells of a reason that is no text.
  test: ({ how, why }: { readonly how?: string | undefined; readonly why?: unknown }): boolean =>
    how !== "left-out" || (typeof why === "string" ? why.trim() !== "" : why !== undefined),
};

const fields = {
  line: wholeNumber("Line").required().min(1),
  how: oneOf("How", ["back", "replaced", "left-out"]),
  count: wholeNumber("Count").nullable().defined().min(1).max(500),
  why: text("Why", 300),
  carried: yup.array(yup.string().required().max(80)).label("Moved over").required().max(20),
  taken: taken(),
};
const protects = () => yup.string().label("What it protects").max(60);

/** What went back, was replaced, or was left out and why; `protects`: which row of the table of protections it is. */
export const schema = strictObject({ ...fields, protects: protects().required() }).test(leftOutHasWhy);

/** What a screen posts: what is known by colour, terminal or name is said by the server, whatever is posted. */
export const draft = strictObject({ ...fields, protects: protects() }).test(leftOutHasWhy);

export const versions: readonly Upcaster[] = [
  withFields({ count: null, carried: [] }),
  withFields({ taken: "afterwards", protects: "by-name" }),
];
