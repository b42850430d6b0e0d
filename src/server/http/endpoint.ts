import type { APIContext, APIRoute } from "astro";
import type { InferType, Lazy, Schema } from "yup";
import { ok, type Result } from "@/core/result";
import { parseWith, type Shape } from "@/core/validate";
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
  readonly params?: P;
  readonly body?: B;
  /** Most bytes of a file, where the body is one. */
  readonly fileUpTo?: number;
  /** What a success looks like; server tests hold every answer against it. */
  readonly response: R;
  /** Whether what the path names exists: a 404 comes before anything about the body. */
  found?(params: InferType<P>): Result<unknown>;
  handle(asked: Asked<InferType<P>, InferType<B>>): Promise<Result<Shape<R>>>;
}

/** A route that also shows the shape of its answers. */
export type Endpoint<R extends AnySchema = AnySchema> = APIRoute & { readonly response: R };

const BODY_STATUS: Readonly<Record<string, number>> = { "body/too-large": 413, "body/not-json": 400 };

/** The one way to make an endpoint: size limit, JSON, schema, service, answer. */
export function defineEndpoint<P extends AnySchema, B extends AnySchema, R extends AnySchema>(
  definition: EndpointDefinition<P, B, R>,
): Endpoint<R> {
  const route: APIRoute = async (context) => {
    const params = definition.params ? parseWith(definition.params, { ...context.params }) : undefined;
    if (params && !params.ok) return problem(404, params.issues);
    const found = params && definition.found?.(params.value);
    if (found && !found.ok) return problem(404, found.issues);
    let body: InferType<B> | undefined;
    if (definition.body) {
      const json = await jsonBody(context.request);
      if (!json.ok) return problem(BODY_STATUS[json.issues[0]?.code ?? ""] ?? 400, json.issues);
      const parsed = parseWith(definition.body, json.value);
      if (!parsed.ok) return problem(422, parsed.issues);
      body = parsed.value;
    }
    const file = definition.fileUpTo
      ? await rawBody(context.request, definition.fileUpTo)
      : ok(new Uint8Array());
    if (!file.ok) return problem(BODY_STATUS[file.issues[0]?.code ?? ""] ?? 400, file.issues);
    const result = await definition.handle({
      params: params?.value as InferType<P>,
      body: body as InferType<B>,
      bytes: file.value,
      context,
    });
    if (!result.ok) return problem(statusOf(result.issues), result.issues);
    return Response.json(result.value, { headers: { "cache-control": "no-store" } });
  };
  return Object.assign(route, { response: definition.response });
}
