import * as yup from "yup";
import { fail, issue, ok, type Result } from "../result";
import { asGiven, handsOn, parseWith, strictObject } from "../validate";
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

function readReading(given: unknown, quantity: QuantityId, label: string): Result<Reading> {
  if (typeof given === "string") {
    const parsed = parseReading(given, quantity, label);
    return parsed.ok ? ok(parsed.value.reading) : parsed;
  }
  const parsed = parseWith(readingObject(quantity), given);
  if (parsed.ok) return ok(given as Reading);
  const why = parsed.issues[0]?.message ?? "";
  return fail(issue("", "reading/malformed", `${label} ${asGiven(given)} is not a reading: ${why}`, given));
}

/** A figure above zero, where a reading says one. */
function aboveZero(read: Result<Reading>, label: string): Result<Reading> {
  if (!read.ok || read.value.kind !== "value" || read.value.value > 0) return read;
  const { entered } = read.value;
  return fail(
    issue("", "reading/none", `${label} "${entered}" is none: write a figure above zero.`, entered),
  );
}

/**
 * Schema of one reading at a boundary: the text typed at the bench, or a Reading in SI. Hands on the Reading.
 * @param isAboveZero what is no quantity at zero or below, such as the weight of a digit
 */
export function readingField(quantity: QuantityId, label: string, isAboveZero = false) {
  return handsOn<Reading>("reading", label, (given) => {
    const read = readReading(given, quantity, label);
    return isAboveZero ? aboveZero(read, label) : read;
  }).meta({
    reading: quantity,
    bareUnit: QUANTITIES[quantity].bare.symbol,
  });
}
