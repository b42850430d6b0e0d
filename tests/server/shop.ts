import { randomUUID } from "node:crypto";
import { Ajv2020, type ValidateFunction } from "ajv/dist/2020";
import type { APIContext, APIRoute } from "astro";
import { expect } from "vitest";
import { openScratch } from "@/server/db/connect";
import { setDatabase } from "@/server/db/shop-database";
import type { Endpoint } from "@/server/http/endpoint";
import { toJsonSchema } from "@/server/http/json-schema";
import type { Problem } from "@/server/http/problem";
import type { Route } from "@/wire/route";
import { WIRE } from "@/wire/wire";
import { CARDER } from "./shop-machine";

/** One database in memory a test file: opening one costs a second or more. */
export async function openShop() {
  const database = await openScratch();
  setDatabase(database);
  return database;
}

const ajv = new Ajv2020({ strict: false, allErrors: true, validateFormats: false });
const validators = new Map<unknown, ValidateFunction>();

/** What an answer has that its description in openapi.json does not allow, or lacks. */
function misfits(schema: unknown, body: unknown): readonly string[] {
  const known = validators.get(schema) ?? ajv.compile(toJsonSchema(schema));
  validators.set(schema, known);
  return known(body)
    ? []
    : (known.errors ?? []).map(({ instancePath, message }) => `${instancePath} ${message}`);
}

export interface Answer<T = Record<string, unknown>> {
  readonly status: number;
  readonly body: T;
  readonly problem: Problem;
  readonly type: string;
}

interface Asked {
  readonly method?: string;
  readonly params?: Record<string, string>;
  readonly query?: string;
  /** Sent as JSON, or as it is when it is text. */
  readonly body?: unknown;
}

/** Calls a route as the server would; a good answer is held against the schema that the route declares. */
export async function call<T = Record<string, unknown>>(
  route: APIRoute | Endpoint,
  asked: Asked = {},
): Promise<Answer<T>> {
  const { method = asked.body === undefined ? "GET" : "POST", params = {}, query = "" } = asked;
  const url = new URL(`http://127.0.0.1:4321/test${query}`);
  const text = typeof asked.body === "string" ? asked.body : JSON.stringify(asked.body);
  const request = new Request(url, {
    method,
    ...(asked.body === undefined ? {} : { body: text, headers: { "content-type": "application/json" } }),
  });
  const context = { request, params, url, locals: { requestId: "test" } } as unknown as APIContext;
  const response = (await route(context)) as Response;
  const body = await response.json();
  // Against the declaration it was held where it was made.
  const declared: Route | undefined = "serves" in route ? WIRE[route.serves] : undefined;
  if (response.ok && declared?.answer)
    expect(misfits(declared.answer, body), "the answer against the description of the API").toEqual([]);
  return { status: response.status, body, problem: body, type: response.headers.get("content-type") ?? "" };
}

export const takeInBody = (change: object = {}) => ({
  entryId: randomUUID(),
  by: "left bench",
  takenIn: CARDER,
  owner: { name: "Tansy Weavers", contact: "telephone" },
  complaint: { signs: ["hum"], circumstance: "always", afterMinutes: null, words: "It hums." },
  plate: null,
  pictures: [],
  ...change,
});

export const draft = (expectedSeq: number, kind: string, payload: object, change: object = {}) => ({
  entryId: randomUUID(),
  expectedSeq,
  kind,
  stage: "measure",
  by: "left bench",
  payload,
  ...change,
});
