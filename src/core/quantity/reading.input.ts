import * as yup from "yup";
import { asGiven, parseWith, readableBy, strictObject } from "../validate";
import { parseReading } from "./parse-reading";
import { QUANTITIES, type QuantityId, type Reading } from "./reading";

/** A reading as a program may send it: the object, already in SI. */
export function readingObject(quantity: QuantityId) {
  const { unit, min, max, label } = QUANTITIES[quantity];
  return strictObject({
    kind: yup.string().oneOf(["value", "over-range", "under-range", "not-taken"]).required().label("kind"),
    value: yup
      .number()
      .label(`${label} in ${unit}`)
      .when("kind", ([kind], schema) => (kind === "value" ? schema.required().min(min).max(max) : schema)),
    unit: yup
      .string()
      .oneOf([unit])
      .when("kind", ([kind], schema) => (kind === "value" ? schema.required() : schema)),
    entered: yup.string().max(60),
    resolution: yup.number().min(0),
    limit: yup.number(),
    why: yup.string().max(300),
  });
}

/**
 * Schema of one reading at a boundary: the text typed at the bench, or a Reading in SI.
 * After validation {@link readingOf} turns either into a Reading.
 */
export function readingField(quantity: QuantityId, label: string) {
  const asObject = readingObject(quantity);
  return yup
    .mixed<string | Reading>(
      (value): value is string | Reading =>
        typeof value === "string" || (typeof value === "object" && value !== null),
    )
    .label(label)
    .meta({ reading: quantity, bareUnit: QUANTITIES[quantity].bare.symbol })
    .test(readableBy("reading", (text) => parseReading(text, quantity, label)))
    .test({
      name: "reading-object",
      skipAbsent: true,
      test: (value, context) => {
        if (typeof value !== "object" || value === null) return true;
        const parsed = parseWith(asObject, value);
        if (parsed.ok) return true;
        const first = parsed.issues[0];
        return context.createError({
          message: `${label} ${asGiven(value)} is not a reading: ${first?.message ?? ""}`,
          params: { code: "reading/malformed", originalValue: value },
        });
      },
    });
}

/** The Reading behind a validated field. Text that the schema let through and this cannot read is a bug. */
export function readingOf(field: string | Reading, quantity: QuantityId): Reading {
  if (typeof field !== "string") return field;
  const parsed = parseReading(field, quantity);
  if (!parsed.ok) throw new Error(`not validated before use: ${field}`);
  return parsed.value.reading;
}
