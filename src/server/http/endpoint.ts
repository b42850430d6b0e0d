import type { APIContext, APIRoute } from "astro";
import { ok, type Result } from "@/core/result";
import { parseWith, storable } from "@/core/validate";
import { journalled } from "@/server/services/journalled";
import { closedToWriters } from "@/server/services/undertaking";
import type { AnswerOf, BodyOf, ParamsOf, QueryOf, Route } from "@/wire/route";
import { type RouteName, WIRE, type Wire } from "@/wire/wire";
import { checkAnswer } from "./answer-check";
import { jsonBody, rawBody } from "./body";
import { problem, statusOf } from "./problem";

/** What was asked, as the route's declaration reads it. */
interface Asked<R> {
  readonly params: ParamsOf<R>;
  readonly query: QueryOf<R>;
  readonly body: BodyOf<R>;
  /** The body as it came, where the route takes a file. */
  readonly bytes: Uint8Array;
}

interface Handling<R> {
  /** Whether what the path names exists: a 404 comes before anything about the body. */
  found?(params: ParamsOf<R>): Result<unknown>;
  handle(asked: Asked<R>): Promise<Result<AnswerOf<R>>>;
}

/** A route of the wire as the server serves it. */
export type Endpoint = APIRoute & { readonly serves: RouteName };

/** A route that answers no JSON, or does more than answer: its declaration stands in the wire all the same. */
export function plainRoute(serves: RouteName, route: APIRoute): Endpoint {
  return Object.assign(route, { serves });
}

const BODY_STATUS: ReadonlyMap<string, number> = new Map(
  Object.entries<number>({ "body/too-large": 413, "body/not-json": 400 }),
);

interface Read {
  readonly body: unknown;
  readonly bytes: Uint8Array;
}

/** The body as the route takes it, or why not. */
async function readBody({ body, fileUpTo }: Route, request: Request): Promise<Read | Response> {
  const given = body
    ? await jsonBody(request)
    : fileUpTo === undefined
      ? ok(undefined)
      : await rawBody(request, fileUpTo);
  if (!given.ok) return problem(BODY_STATUS.get(given.issues[0]?.code ?? "") ?? 400, given.issues);
  if (given.value instanceof Uint8Array) return { body: undefined, bytes: given.value };
  const parsed = body ? parseWith<unknown>(body, given.value) : ok(undefined);
  return parsed.ok ? { body: parsed.value, bytes: new Uint8Array() } : problem(422, parsed.issues);
}

function queryOf({ query = {} }: Route, { searchParams }: URL): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.keys(query).flatMap((name) => {
      const given = searchParams.get(name);
      return given === null ? [] : [[name, given]];
    }),
  );
}

/** The one way to make an endpoint: size limit, JSON, schema, service, answer. */
export function endpoint<N extends RouteName>(serves: N, { found, handle }: Handling<Wire[N]>): Endpoint {
  const declared: Route = WIRE[serves];
  const route: APIRoute = async ({ params, request, url }: APIContext) => {
    const named = declared.params ? parseWith<unknown>(declared.params, { ...params }) : ok(undefined);
    if (!named.ok) return problem(404, named.issues);
    const closed = request.method === "GET" || declared.keepsNothing ? undefined : closedToWriters();
    if (closed) return problem(409, [closed]);
    const known = found?.(named.value as ParamsOf<Wire[N]>);
    if (known && !known.ok) return problem(404, known.issues);
    const read = await readBody(declared, request);
    if (read instanceof Response) return read;
    const query = storable(queryOf(declared, url));
    if (!query.ok) return problem(422, query.issues);
    const asked = { ...read, params: named.value, query: query.value };
    const result = await handle(asked as Asked<Wire[N]>);
    if (request.method !== "GET") await journalled();
    if (!result.ok) return problem(statusOf(result.issues), result.issues);
    const text = JSON.stringify(result.value);
    checkAnswer(serves, text);
    return new Response(text, {
      headers: { "content-type": "application/json", "cache-control": "no-store" },
    });
  };
  return plainRoute(serves, route);
}
