import { describe, expect, it } from "vitest";
import * as yup from "yup";
import { readingField } from "@/core/quantity/reading.input";
import { toJsonSchema } from "@/core/tools/json-schema";
import { strictObject } from "@/core/validate";

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

  it.each([
    ["a test of one's own", yup.string().test("odd", "odd", () => true)],
    ["a date", yup.date()],
    ["a pattern", yup.string().matches(/x/)],
    ["null", yup.string().nullable()],
    ["a lazy schema", yup.lazy(() => yup.string())],
    ["a reference", yup.object({ a: yup.ref("b") as never })],
  ])("throws on %s, which it does not know", (_, schema) => {
    expect(() => toJsonSchema(strictObject({ field: schema as yup.Schema }))).toThrow(/field/);
  });
});
