import * as yup from "yup";
import { type Failed, fail, type Issue, issue, ok, type Result } from "./result";

/** Text that no database, font or PDF can hold: NUL and lone surrogates. */
const UNSTORABLE = /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const SHOWN_LENGTH = 60;
/** More than anybody types into one field, characters. Every schema that knows better says so. */
const LONGEST_TEXT = 20_000;
const MAX_DEPTH = 24;

/** What every object has of its own and is called when it is made text: given by somebody, it would be called as well. */
const NEVER_NAMES: ReadonlySet<string> = new Set(["toString", "valueOf", "toJSON", "__proto__"]);

/** The value as a sentence can hold it. */
export function asGiven(value: unknown): string {
  if (value === undefined) return "nothing";
  const text = typeof value === "string" ? `"${value}"` : JSON.stringify(value);
  const readable = (text ?? String(value)).replace(/\0/g, "\\0");
  return readable.length > SHOWN_LENGTH ? `${readable.slice(0, SHOWN_LENGTH)}…` : readable;
}

/** Whether every text in it can be kept, and nothing is nested too deep. */
export function storable<T>(value: T): Result<T> {
  const bad = unstorable(value, "", 0);
  return bad.length > 0 ? fail(...bad) : ok(value);
}

/** Issues that hold for any input: nesting too deep, or text that cannot be kept. */
function unstorable(value: unknown, path: string, depth: number): Issue[] {
  if (depth > MAX_DEPTH)
    return [issue(path, "input/too-deep", `The value is nested more than ${MAX_DEPTH} levels deep.`)];
  if (typeof value === "string" && value.length > LONGEST_TEXT)
    return [
      issue(path, "text/too-long", `A text of ${value.length} characters is longer than ${LONGEST_TEXT}.`),
    ];
  if (typeof value === "string")
    return UNSTORABLE.test(value)
      ? [
          issue(
            path,
            "text/unstorable",
            `The text${path === "" ? "" : ` in the field ${path.split(".").at(-1)}`} ${asGiven(value)} holds a character that cannot be kept (NUL or half a character): remove it.`,
            value,
          ),
        ]
      : [];
  if (value === null || typeof value !== "object") return [];
  return Object.entries(value).flatMap(([key, inner]) => [
    ...(UNSTORABLE.test(key)
      ? [issue(path, "text/unstorable", `A field name in ${path || "the input"} cannot be kept.`)]
      : []),
    ...(NEVER_NAMES.has(key) && !Array.isArray(value)
      ? [
          issue(
            path,
            "input/field-name",
            `${path || "The input"} has a field "${key}": no field is called that.`,
          ),
        ]
      : []),
    ...unstorable(inner, path === "" ? key : `${path}.${key}`, depth + 1),
  ]);
}

const TYPE_WORDS: ReadonlyMap<string, string> = new Map(
  Object.entries<string>({
    number: "a number such as 12.4",
    string: "text",
    boolean: "true or false",
    array: "a list",
    object: "an object with named fields",
  }),
);

function labelOf(error: yup.ValidationError): string {
  const label = error.params?.["label"];
  if (typeof label === "string") return label;
  return error.path ? error.path : "The input";
}

function messageOf(error: yup.ValidationError): string {
  const given = asGiven(error.params?.["originalValue"] ?? error.params?.["value"]);
  switch (error.type) {
    case "typeError": {
      const type = String(error.params?.["type"]);
      return `${labelOf(error)} ${given} is not ${TYPE_WORDS.get(type) ?? type}.`;
    }
    case "optionality":
    case "nullable":
    case "required":
      return `${labelOf(error)} is missing.`;
    case "noUnknown":
      return `${labelOf(error)} has fields that are not known here: ${String(error.params?.["unknown"])}.`;
    case "oneOf":
      return `${labelOf(error)} ${given} is not one of ${String(error.params?.["values"])}.`;
    case "min":
    case "max":
    case "length":
      return `${labelOf(error)} ${given} is outside what is possible: ${error.message}.`;
    default:
      return error.message;
  }
}

/** Yup's path with its brackets as dots. */
function dotted(path: string): string {
  return path
    .replace(/\[(\d+)\]/g, ".$1")
    .replace(/\["([^"]+)"\]/g, ".$1")
    .replace(/^\./, "");
}

function issueOf(error: yup.ValidationError): Issue {
  const code = error.params?.["code"];
  const given = error.params?.["originalValue"] ?? error.params?.["value"];
  const path = dotted(error.path ?? "");
  return issue(
    path,
    typeof code === "string" ? code : `input/${error.type ?? "invalid"}`,
    messageOf(error),
    given,
  );
}

function issuesOf(error: yup.ValidationError): Failed {
  const all = error.inner.length > 0 ? error.inner : [error];
  return fail(...all.map(issueOf));
}

/** A schema, or one that is chosen by the value. */
interface Checkable<T> {
  validateSync(
    value: unknown,
    options: { readonly strict: true; readonly abortEarly: false; readonly context: object },
  ): T;
}

/** What fields read out of text while a schema is run, by the path of the field. */
type ReadShapes = Map<string, unknown>;

/** The same value with the typed shapes in the place of the text they were read from. Nothing given is changed. */
function withShapes<T>(value: T, shapes: ReadShapes, path: string): T {
  if (shapes.has(path)) return shapes.get(path) as T;
  if (typeof value !== "object" || value === null) return value;
  const inside = Object.entries(value).map(
    ([key, inner]) => [key, withShapes(inner, shapes, path === "" ? key : `${path}.${key}`)] as const,
  );
  return (Array.isArray(value) ? inside.map(([, inner]) => inner) : Object.fromEntries(inside)) as T;
}

/**
 * The only place where a Yup schema is run: strict, every problem at once, no unknown keys, no repair.
 * @returns the input itself, typed, with each {@link handsOn} field as the shape it was read into; or every issue with
 * its path.
 */
export function parseWith<T>(schema: Checkable<T>, raw: unknown): Result<T> {
  if (raw === undefined) return fail(issue("", "input/missing", "The input is missing."));
  const bad = storable(raw);
  if (!bad.ok) return bad;
  const shapes: ReadShapes = new Map();
  try {
    const value = schema.validateSync(raw, { strict: true, abortEarly: false, context: { shapes } });
    return ok(shapes.size === 0 ? value : withShapes(value, shapes, ""));
  } catch (error) {
    if (yup.ValidationError.isError(error)) return issuesOf(error);
    throw error;
  }
}

/** An object that refuses keys it does not name. Every object schema is made with this. */
export function strictObject<F extends yup.ObjectShape>(
  fields: F,
): yup.ObjectSchema<yup.TypeFromShape<F, yup.AnyObject>> {
  return yup.object(fields).noUnknown().strict() as unknown as yup.ObjectSchema<
    yup.TypeFromShape<F, yup.AnyObject>
  >;
}

/** A number that is finite: Yup's own lets Infinity pass. */
export function finiteNumber(): yup.NumberSchema {
  return yup.number().test({
    name: "finite",
    skipAbsent: true,
    test: (value, context) =>
      Number.isFinite(value) ||
      context.createError({
        message: `${context.schema.spec.label ?? context.path} is not a finite number.`,
        params: { code: "number/not-finite" },
      }),
  });
}

/** Readonly all the way down: what a schema describes is never changed after it was parsed. */
export type Frozen<T> = T extends readonly (infer E)[]
  ? readonly Frozen<E>[]
  : T extends object
    ? { readonly [K in keyof T]: Frozen<T[K]> }
    : T;

/** The type that a schema describes: the one way to get it. */
export type Shape<S extends yup.ISchema<unknown>> = Frozen<yup.InferType<S>>;

/**
 * A field that takes text and hands on the shape it is read into (a Reading, a marking), so that nothing behind the
 * boundary reads the text again. The one transform that is allowed there.
 * @param read gets what was given: the text, or the shape itself where a program sends it
 */
export function handsOn<T extends object>(name: string, label: string, read: (given: unknown) => Result<T>) {
  return yup
    .mixed<T>(
      (given): given is T => typeof given === "string" || (typeof given === "object" && given !== null),
    )
    .label(label)
    .test({
      name,
      skipAbsent: true,
      test: (given, context) => {
        const done = read(given);
        if (done.ok) {
          const { shapes } = (context.options.context ?? {}) as { readonly shapes?: ReadShapes };
          shapes?.set(dotted(context.path), done.value);
          return true;
        }
        const first = done.issues[0];
        return context.createError({
          message: first?.message ?? `${label} cannot be read.`,
          params: { code: first?.code ?? "input/unreadable", originalValue: given },
        });
      },
    });
}

/** A schema test that runs a parser of ours on text and reports its issues at this field. */
export function readableBy(name: string, parse: (text: string) => Result<unknown>) {
  return {
    name,
    skipAbsent: true,
    test: (value: unknown, context: yup.TestContext): true | yup.ValidationError => {
      if (typeof value !== "string") return true;
      const parsed = parse(value);
      if (parsed.ok) return true;
      const first = parsed.issues[0];
      return context.createError({
        message: first?.message ?? "This cannot be read.",
        params: { code: first?.code ?? "input/unreadable", originalValue: value },
      });
    },
  };
}
