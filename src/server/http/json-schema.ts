import * as yup from "yup";

export type JsonSchema = Readonly<Record<string, unknown>>;

/** Tests of a schema that JSON Schema cannot say, or that only restate what its type says: each was looked at. */
const SILENT_TESTS: ReadonlySet<string> = new Set([
  "required",
  "finite",
  "reading",
  "marking",
  "noUnknown",
  "nullable",
  "optionality",
  "typeError",
  "plate",
  "figure",
  "ranges",
  "lead-pairs",
  "lead-ohms",
  "accuracy",
  "zone",
  "currency",
  "why",
]);
/** Tests that are said below, by type. */
const SAID_TESTS: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries<readonly string[]>({
    string: ["max", "min", "length", "matches", "uuid"],
    number: ["min", "max", "integer"],
    array: ["min", "max", "length"],
  }),
);

type Description = yup.SchemaDescription;

function isObject(description: Description): description is yup.SchemaObjectDescription {
  return "fields" in description;
}
function isList(description: Description): description is yup.SchemaInnerTypeDescription {
  return "innerType" in description;
}
function isDescribed(field: yup.SchemaFieldDescription | undefined): field is Description {
  return field !== undefined && "tests" in field;
}

function checkTests(description: Description, path: string): void {
  const said = SAID_TESTS.get(description.type) ?? [];
  for (const { name } of description.tests)
    if (name !== undefined && !SILENT_TESTS.has(name) && !said.includes(name))
      throw new Error(
        `${path || "schema"}: the test "${name}" has no JSON Schema form here; add it or leave it out`,
      );
}

function param(description: Description, test: string, key: string): unknown {
  return description.tests.find(({ name }) => name === test)?.params?.[key];
}

function defined(entries: Record<string, unknown>): JsonSchema {
  return Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined));
}

function metaOf(description: object): Readonly<Record<string, unknown>> {
  const meta: unknown = "meta" in description ? description.meta : undefined;
  return typeof meta === "object" && meta !== null ? Object.fromEntries(Object.entries(meta)) : {};
}

/** The same, or nothing. */
function orNull(schema: JsonSchema): JsonSchema {
  if (typeof schema["type"] !== "string" || "anyOf" in schema) return { anyOf: [schema, { type: "null" }] };
  const withNull = { ...schema, type: [schema["type"], "null"] };
  return Array.isArray(schema["enum"]) ? { ...withNull, enum: [...schema["enum"], null] } : withNull;
}

function ofObject(description: yup.SchemaObjectDescription, path: string): JsonSchema {
  const fields = Object.entries(description.fields);
  const needed = fields.flatMap(([name, field]) => (isDescribed(field) && !field.optional ? [name] : []));
  const isClosed = description.tests.some(({ name }) => name === "noUnknown");
  return defined({
    type: "object",
    title: description.label,
    properties: Object.fromEntries(
      fields.map(([name, field]) => [name, convert(field, path === "" ? name : `${path}.${name}`)]),
    ),
    required: needed.length > 0 ? needed : undefined,
    additionalProperties: isClosed ? false : undefined,
  });
}

function ofList(description: yup.SchemaInnerTypeDescription, path: string): JsonSchema {
  const { innerType } = description;
  if (Array.isArray(innerType)) {
    const prefixItems = innerType.map((one, index) => convert(one, `${path}[${index}]`));
    return { type: "array", prefixItems, minItems: prefixItems.length, maxItems: prefixItems.length };
  }
  if (!innerType) throw new Error(`${path || "schema"}: a list without a type of item`);
  return defined({
    type: "array",
    title: description.label,
    items: convert(innerType, `${path}[]`),
    minItems: param(description, "min", "min"),
    maxItems: param(description, "max", "max"),
  });
}

function ofReading(description: Description, meta: Readonly<Record<string, unknown>>): JsonSchema {
  return defined({
    title: description.label,
    description: `A ${String(meta["reading"])} as typed, such as "12.4"; without a unit it is taken in ${String(meta["bareUnit"])}. Or a Reading object in SI.`,
    anyOf: [
      { type: "string" },
      { type: "object", properties: { kind: { type: "string" } }, required: ["kind"] },
    ],
  });
}

function ofMixed(description: Description, path: string): JsonSchema {
  const meta = metaOf(description);
  if ("reading" in meta) return ofReading(description, meta);
  if ("marking" in meta)
    return defined({ type: "string", title: description.label, examples: [meta["example"]] });
  if (description.oneOf.length > 0) return { enum: description.oneOf };
  if ("any" in meta) return defined({ title: description.label, description: meta["any"] });
  throw new Error(`${path || "schema"}: a mixed value that does not say what it is`);
}

function ofSimple(description: Description, path: string): JsonSchema {
  const shared = {
    title: description.label,
    enum: description.oneOf.length > 0 ? description.oneOf : undefined,
  };
  const regex = param(description, "matches", "regex");
  switch (description.type) {
    case "string":
      return defined({
        type: "string",
        ...shared,
        maxLength: param(description, "max", "max") ?? param(description, "length", "length"),
        minLength: param(description, "min", "min") ?? param(description, "length", "length"),
        pattern: regex instanceof RegExp ? regex.source : undefined,
        format: description.tests.some(({ name }) => name === "uuid") ? "uuid" : undefined,
      });
    case "number":
      return defined({
        type: description.tests.some(({ name }) => name === "integer") ? "integer" : "number",
        ...shared,
        minimum: param(description, "min", "min"),
        exclusiveMinimum: param(description, "min", "more"),
        maximum: param(description, "max", "max"),
        exclusiveMaximum: param(description, "max", "less"),
      });
    case "boolean":
      return defined({ type: "boolean", ...shared });
    default:
      throw new Error(`${path || "schema"}: the type "${description.type}" has no JSON Schema form here`);
  }
}

/** A schema that is chosen by the value says in its meta what it may be: one of several, or a table of one. */
function ofLazy(field: yup.SchemaFieldDescription, path: string): JsonSchema {
  const meta = metaOf(field);
  const { oneOf, each } = meta;
  if (Array.isArray(oneOf)) return { oneOf: oneOf.map((one) => schemaOf(one, path)) };
  if (each !== undefined) return { type: "object", additionalProperties: schemaOf(each, path) };
  throw new Error(`${path || "schema"}: a ${field.type} that does not say what it may be`);
}

function schemaOf(schema: unknown, path: string): JsonSchema {
  if (yup.isSchema(schema)) return convert(schema.describe(), path);
  throw new Error(`${path || "schema"}: its meta names something that is no schema`);
}

function convert(field: yup.SchemaFieldDescription, path: string): JsonSchema {
  if (!isDescribed(field)) return ofLazy(field, path);
  checkTests(field, path);
  const said = isObject(field)
    ? ofObject(field, path)
    : isList(field)
      ? ofList(field, path)
      : field.type === "mixed"
        ? ofMixed(field, path)
        : ofSimple(field, path);
  return field.nullable ? orNull(said) : said;
}

/** A Yup schema as JSON Schema, draft 2020-12. Throws on anything it cannot say, with its path. */
export function toJsonSchema(schema: unknown): JsonSchema {
  return schemaOf(schema, "");
}
