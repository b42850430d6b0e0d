import * as yup from "yup";
import { finiteNumber, strictObject } from "../validate";
import { oneOf, text, wholeNumber } from "./fields.input";

const pinFields = {
  picture: wholeNumber("Line of the picture").required().min(1),
  x: finiteNumber().label("Across").required().min(0).max(1),
  y: finiteNumber().label("Down").required().min(0).max(1),
};

export const removed = strictObject({
  sort: oneOf("Sort", ["cover", "fastener", "connector", "wire", "mark", "part", "seal", "washer"]),
  what: yup.string().label("What came off").required().max(120),
  count: wholeNumber("Count").required().min(1).max(500),
  where: text("Where it lies", 120),
  drive: text("Drive", 40),
  colour: text("Colour", 40),
  terminal: text("Terminal", 40),
  torque: text("How tight", 80),
  adhesive: text("Glue or lock", 80),
  pin: strictObject(pinFields).nullable().defined(),
});

export const pinned = strictObject({ line: wholeNumber("Line").required().min(1), ...pinFields });

export const reordered = strictObject({
  lines: yup.array(wholeNumber("Line").required().min(1)).label("Order").required().min(1).max(500),
});

const leftOutHasWhy = {
  name: "why",
  message: "Why it is left out must be said.",
  test: ({ how, why }: { readonly how?: string | undefined; readonly why?: string | undefined }): boolean =>
    how !== "left-out" || (why ?? "").trim() !== "",
};

export const refitted = strictObject({
  line: wholeNumber("Line").required().min(1),
  how: oneOf("How", ["back", "replaced", "left-out"]),
  count: wholeNumber("Count").nullable().defined().min(1).max(500),
  why: text("Why", 300),
  carried: yup.array(yup.string().required().max(80)).label("Moved over").required().max(20),
}).test(leftOutHasWhy);
