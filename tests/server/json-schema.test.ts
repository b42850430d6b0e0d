import { describe, expect, it } from "vitest";
import * as yup from "yup";
import { readingField } from "@/core/quantity/reading.input";
import { strictObject } from "@/core/validate";
import { toJsonSchema } from "@/server/http/json-schema";

describe("a Yup schema as JSON Schema", () => {
  it("says fields, labels, ranges, choices and what is required", () => {
    const schema = strictObject({
      name: yup.string().label("Name").required().max(5),
      kind: yup.string().oneOf(["a", "b"]),
      count: yup.number().integer().required().min(1).max(9),
      reading: readingField("resistance", "Ohms").required(),
      list: yup.array(yup.boolean().required()).min(2),
    });
    expect(toJsonSchema(schema)).toMatchObject({
      type: "object",
      additionalProperties: false,
      required: ["name", "count", "reading"],
      properties: {
        name: { type: "string", title: "Name", maxLength: 5 },
        kind: { type: "string", enum: ["a", "b"] },
        count: { type: "integer", minimum: 1, maximum: 9 },
        reading: { title: "Ohms", anyOf: [{ type: "string" }, { type: "object" }] },
        list: { type: "array", minItems: 2, items: { type: "boolean" } },
      },
    });
  });

  it("says null, patterns, tuples, tables and one of several", () => {
    const one = strictObject({ of: yup.string().oneOf(["a"]).required() });
    const schema = strictObject({
      day: yup
        .string()
        .nullable()
        .defined()
        .matches(/^\d{4}$/),
      kind: yup.string().oneOf(["a", "b"]).nullable(),
      id: yup.string().uuid().required(),
      pair: yup.tuple([yup.number().required(), yup.string().required()]),
      either: yup.lazy(() => one).meta({ oneOf: [one, strictObject({ n: yup.number() })] }),
      table: yup.lazy(() => yup.object()).meta({ each: yup.number().moreThan(0) }),
    });
    expect(toJsonSchema(schema)).toMatchObject({
      properties: {
        day: { type: ["string", "null"], pattern: "^\\d{4}$" },
        kind: { enum: ["a", "b", null] },
        id: { format: "uuid" },
        pair: { prefixItems: [{ type: "number" }, { type: "string" }], minItems: 2 },
        either: { oneOf: [{ properties: { of: { enum: ["a"] } } }, { properties: { n: {} } }] },
        table: { additionalProperties: { type: "number", exclusiveMinimum: 0 } },
      },
    });
  });

  it.each([
    ["a test of one's own", yup.string().test("odd", "odd", () => true)],
    ["a date", yup.date()],
    ["a lazy schema that does not say what it may be", yup.lazy(() => yup.string())],
    ["a mixed value that does not say what it is", yup.mixed()],
    ["a reference", strictObject({ a: yup.ref("b") })],
  ])("throws on %s, which it does not know", (_, schema) => {
    expect(() => toJsonSchema(strictObject({ field: schema as yup.Schema }))).toThrow(/field/);
  });
});
