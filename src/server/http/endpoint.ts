import type { APIContext, APIRoute } from "astro";
import type { InferType, Lazy, Schema } from "yup";
import { ok, type Result } from "@/core/result";
import { parseWith, type Shape } from "@/core/validate";
import { journalled } from "@/server/services/journalled";
import { jsonBody, rawBody } from "./body";
import { problem, statusOf } from "./problem";

interface Asked<P, B> {
  readonly params: P;
  readonly body: B;
  /** The body as it came, where the endpoint takes a file. */
  readonly bytes: Uint8Array;
  readonly context: APIContext;
}

/** A schema, or one that is chosen by the value. */
type AnySchema = Schema | Lazy<unknown>;

interface EndpointDefinition<P extends AnySchema, B extends AnySchema, R extends AnySchema> {
  /** What it does, in one line: the description of the API says it. */
  readonly about: string;
  readonly params?: P;
  /** Query parameters by name, each with what it asks for. */
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: B;
  /** Most bytes of a file, where the body is one. */
  readonly fileUpTo?: number;
  /** What a success looks like; server tests hold every answer against it. */
  readonly response: R;
  /** Whether what the path names exists: a 404 comes before anything about the body. */
  found?(params: InferType<P>): Result<unknown>;
  handle(asked: Asked<InferType<P>, InferType<B>>): Promise<Result<Shape<R>>>;
}

/** What a route says of itself: its schemas, and what it is for. */
export interface RouteSays {
  readonly about: string;
  readonly params?: AnySchema | undefined;
  readonly query?: Readonly<Record<string, string>> | undefined;
  readonly body?: AnySchema | undefined;
  readonly fileUpTo?: number | undefined;
  readonly response?: AnySchema | undefined;
  /** Where the answer is no JSON. */
  readonly answers?: string | undefined;
}

/** A route that also says what it takes and what it answers. */
export type Endpoint = APIRoute & RouteSays;

/** A route that is not made by `defineEndpoint`, with what it says of itself. */
export function describeRoute(says: RouteSays, route: APIRoute): Endpoint {
  return Object.assign(route, says);
}

const BODY_STATUS: ReadonlyMap<string, number> = new Map(
  Object.entries<number>({ "body/too-large": 413, "body/not-json": 400 }),
);

/** The one way to make an endpoint: size limit, JSON, schema, service, answer. */
export function defineEndpoint<P extends AnySchema, B extends AnySchema, R extends AnySchema>(
  definition: EndpointDefinition<P, B, R>,
): Endpoint {
  const route: APIRoute = async (context) => {
    const params = definition.params ? parseWith(definition.params, { ...context.params }) : undefined;
    if (params && !params.ok) return problem(404, params.issues);
    const found = params && definition.found?.(params.value);
    if (found && !found.ok) return problem(404, found.issues);
    let body: InferType<B> | undefined;
    if (definition.body) {
      const json = await jsonBody(context.request);
      if (!json.ok) return problem(BODY_STATUS.get(json.issues[0]?.code ?? "") ?? 400, json.issues);
      const parsed = parseWith(definition.body, json.value);
      if (!parsed.ok) return problem(422, parsed.issues);
      body = parsed.value;
    }
    const file = definition.fileUpTo
      ? await rawBody(context.request, definition.fileUpTo)
      : ok(new Uint8Array());
    if (!file.ok) return problem(BODY_STATUS.get(file.issues[0]?.code ?? "") ?? 400, file.issues);
    const result = await definition.handle({
      params: params?.value as InferType<P>,
      body: body as InferType<B>,
      bytes: file.value,
      context,
    });
    if (context.request.method !== "GET") await journalled();
    if (!result.ok) return problem(statusOf(result.issues), result.issues);
    return Response.json(result.value, { headers: { "cache-control": "no-store" } });
  };
  const { about, params, query, body, fileUpTo, response } = definition;
  return describeRoute({ about, params, query, body, fileUpTo, response }, route);
}
