import type {
  Schema,
  SchemaDescription,
  SchemaFieldDescription,
  SchemaInnerTypeDescription,
  SchemaObjectDescription,
} from "yup";

export type JsonSchema = Readonly<Record<string, unknown>>;

/** Tests of a schema that JSON Schema can say, or that only restate what its type says. */
const SILENT_TESTS = new Set([
  "required",
  "finite",
  "reading",
  "reading-object",
  "mark",
  "noUnknown",
  "nullable",
  "optionality",
]);

function hasTest(description: SchemaDescription, name: string): boolean {
  return description.tests.some((test) => test.name === name);
}

function checkTests(description: SchemaDescription, path: string, known: readonly string[]): void {
  for (const { name } of description.tests) {
    if (name !== undefined && !SILENT_TESTS.has(name) && !known.includes(name))
      throw new Error(
        `${path || "schema"}: the test "${name}" has no JSON Schema form here; add it or leave it out`,
      );
  }
}

function param(description: SchemaDescription, test: string, key: string): unknown {
  return description.tests.find(({ name }) => name === test)?.params?.[key];
}

function defined(entries: Record<string, unknown>): JsonSchema {
  return Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));
}

function ofObject(description: SchemaObjectDescription, path: string): JsonSchema {
  checkTests(description, path, []);
  const fields = Object.entries(description.fields);
  const needed = fields.filter(([, field]) => !(field as SchemaDescription).optional).map(([name]) => name);
  return defined({
    type: "object",
    title: description.label,
    properties: Object.fromEntries(
      fields.map(([name, field]) => [name, convert(field, path === "" ? name : `${path}.${name}`)]),
    ),
    required: needed.length > 0 ? needed : undefined,
    additionalProperties: false,
  });
}

function ofReading(description: SchemaDescription): JsonSchema {
  const { reading, bareUnit } = description.meta as { reading: string; bareUnit: string };
  return defined({
    title: description.label,
    description: `A ${reading} as typed, such as "12.4"; without a unit it is taken in ${bareUnit}. Or a Reading object in SI.`,
    anyOf: [
      { type: "string" },
      { type: "object", properties: { kind: { type: "string" } }, required: ["kind"] },
    ],
  });
}

function ofSimple(description: SchemaDescription, path: string): JsonSchema {
  const oneOf = description.oneOf.length > 0 ? description.oneOf : undefined;
  switch (description.type) {
    case "string":
      checkTests(description, path, ["max", "min"]);
      return defined({
        type: "string",
        title: description.label,
        enum: oneOf,
        maxLength: param(description, "max", "max"),
        minLength: param(description, "min", "min"),
        examples: examplesOf(description),
      });
    case "number":
      checkTests(description, path, ["min", "max", "integer"]);
      return defined({
        type: hasTest(description, "integer") ? "integer" : "number",
        title: description.label,
        enum: oneOf,
        minimum: param(description, "min", "min"),
        maximum: param(description, "max", "max"),
      });
    case "boolean":
      checkTests(description, path, []);
      return defined({ type: "boolean", title: description.label });
    default:
      throw new Error(`${path || "schema"}: the type "${description.type}" has no JSON Schema form here`);
  }
}

function examplesOf(description: SchemaDescription): unknown[] | undefined {
  const example = (description.meta as { example?: unknown } | undefined)?.example;
  return example === undefined ? undefined : [example];
}

function convert(field: SchemaFieldDescription, path: string): JsonSchema {
  if (!("tests" in field))
    throw new Error(`${path || "schema"}: a ${field.type} has no JSON Schema form here`);
  const description = field as SchemaDescription;
  if (description.nullable) throw new Error(`${path || "schema"}: nullable has no JSON Schema form here`);
  if (description.type === "object") return ofObject(description as SchemaObjectDescription, path);
  if (description.type === "mixed" && description.meta && "reading" in description.meta) {
    checkTests(description, path, []);
    return ofReading(description);
  }
  if (description.type === "array") {
    const inner = (description as SchemaInnerTypeDescription).innerType;
    if (!inner || Array.isArray(inner))
      throw new Error(`${path || "schema"}: a list without one type of item`);
    checkTests(description, path, ["min", "max"]);
    return defined({
      type: "array",
      items: convert(inner, `${path}[]`),
      minItems: param(description, "min", "min"),
      maxItems: param(description, "max", "max"),
    });
  }
  return ofSimple(description, path);
}

/** A tool's input schema as JSON Schema. Throws on anything it cannot say exactly. */
export function toJsonSchema(schema: Schema): JsonSchema {
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    ...convert(schema.describe() as SchemaFieldDescription, ""),
  };
}
