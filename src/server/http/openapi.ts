import type { RouteSays } from "./endpoint";
import { type JsonSchema, toJsonSchema } from "./json-schema";

/** A route with where it stands: `/api/jobs/{id}`. */
export interface Placed {
  readonly path: string;
  readonly method: string;
  readonly says: RouteSays;
}

const METHODS = ["GET", "POST", "PUT", "DELETE"] as const;

/** Path of a route file: `./jobs/[id]/index.ts` is `/api/jobs/{id}`. */
export function pathOf(file: string): string {
  const bare = file
    .replace(/^\.\//, "")
    .replace(/\.ts$/, "")
    .replace(/(^|\/)index$/, "");
  return `/api/${bare.replace(/\[(\w+)\]/g, "{$1}")}`.replace(/\/$/, "");
}

function isSaying(route: unknown): route is RouteSays {
  return typeof route === "function" && "about" in route;
}

/** The routes of a folder of files, as a bundler hands them out. A route that says nothing of itself is a bug. */
export function placedRoutes(files: Readonly<Record<string, Readonly<Record<string, unknown>>>>): Placed[] {
  return Object.entries(files).flatMap(([file, exported]) =>
    METHODS.flatMap((method): Placed[] => {
      const route = exported[method];
      if (route === undefined) return [];
      if (!isSaying(route)) throw new Error(`${file} ${method} does not say what it is for`);
      return [{ path: pathOf(file), method: method.toLowerCase(), says: route }];
    }),
  );
}

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

function parametersOf({ params, query }: RouteSays): readonly JsonSchema[] {
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

function bodyOf({ body, fileUpTo }: RouteSays): JsonSchema | undefined {
  if (body) return { required: true, content: { "application/json": { schema: toJsonSchema(body) } } };
  return fileUpTo === undefined
    ? undefined
    : {
        required: true,
        description: `A file of at most ${fileUpTo} bytes`,
        content: { "application/octet-stream": { schema: { type: "string", format: "binary" } } },
      };
}

function operationOf({ says }: Placed): JsonSchema {
  const { about, response, answers = "application/json" } = says;
  const [parameters, requestBody] = [parametersOf(says), bodyOf(says)];
  return {
    summary: about,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(requestBody ? { requestBody } : {}),
    responses: {
      200: {
        description: "It was done",
        content: { [answers]: response ? { schema: toJsonSchema(response) } : {} },
      },
      default: {
        description: "Why not: one shape for every refusal (RFC 9457)",
        content: { "application/problem+json": { schema: { $ref: "#/components/schemas/Problem" } } },
      },
    },
  };
}

/** The description of the API, OpenAPI 3.1, from the schemas that the routes themselves use. */
export function openApi(routes: readonly Placed[], version: string): JsonSchema {
  const paths = new Map<string, Record<string, JsonSchema>>();
  for (const route of routes)
    paths.set(route.path, { ...paths.get(route.path), [route.method]: operationOf(route) });
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
