import type { Route } from "@/wire/route";
import { type JsonSchema, toJsonSchema } from "./json-schema";

const PROBLEM: JsonSchema = {
  type: "object",
  required: ["type", "title", "status", "issues"],
  properties: {
    type: { type: "string" },
    title: { type: "string" },
    status: { type: "integer" },
    requestId: { type: "string" },
    issues: {
      type: "array",
      items: {
        type: "object",
        required: ["path", "code", "message"],
        properties: {
          path: { type: "string" },
          code: { type: "string" },
          message: { type: "string" },
          given: {},
        },
      },
    },
  },
};

function parametersOf({ params, query }: Route): readonly JsonSchema[] {
  const inPath: unknown = params ? toJsonSchema(params)["properties"] : {};
  const named = Object.entries(typeof inPath === "object" && inPath !== null ? inPath : {});
  return [
    ...named.map(([name, schema]) => ({ name, in: "path", required: true, schema })),
    ...Object.entries(query ?? {}).map(([name, description]) => ({
      name,
      in: "query",
      description,
      schema: { type: "string" },
    })),
  ];
}

function bodyOf({ body, fileUpTo }: Route): JsonSchema | undefined {
  if (body) return { required: true, content: { "application/json": { schema: toJsonSchema(body) } } };
  return fileUpTo === undefined
    ? undefined
    : {
        required: true,
        description: `A file of at most ${fileUpTo} bytes`,
        content: { "application/octet-stream": { schema: { type: "string", format: "binary" } } },
      };
}

function operationOf(route: Route): JsonSchema {
  const { about, answer, answers = "application/json" } = route;
  const [parameters, requestBody] = [parametersOf(route), bodyOf(route)];
  return {
    summary: about,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(requestBody ? { requestBody } : {}),
    responses: {
      200: {
        description: "It was done",
        content: { [answers]: answer ? { schema: toJsonSchema(answer) } : {} },
      },
      default: {
        description: "Why not: one shape for every refusal (RFC 9457)",
        content: { "application/problem+json": { schema: { $ref: "#/components/schemas/Problem" } } },
      },
    },
  };
}

/** The description of the API, OpenAPI 3.1, from the declarations that it is served by. */
export function openApi(wire: Readonly<Record<string, Route>>, version: string): JsonSchema {
  const paths = new Map<string, Record<string, JsonSchema>>();
  for (const [name, route] of Object.entries(wire)) {
    const [method = "", path = ""] = name.split(" ");
    paths.set(path, { ...paths.get(path), [method.toLowerCase()]: operationOf(route) });
  }
  return {
    openapi: "3.1.0",
    info: {
      title: "Good Spindle",
      version,
      description: "Everything that the screens do goes through these addresses.",
    },
    paths: Object.fromEntries([...paths].sort(([one], [other]) => one.localeCompare(other))),
    components: { schemas: { Problem: PROBLEM } },
  };
}
