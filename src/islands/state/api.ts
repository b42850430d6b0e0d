import { fail, type Issue, issue, ok, type Result } from "@/core/result";
import type { AnswerOf, ParamsOf, QueryOf, SentOf } from "@/wire/route";
import type { RouteName, Wire } from "@/wire/wire";
import { whileUnderWay } from "./under-way";

const NO_ANSWER = issue(
  "",
  "network/no-answer",
  "The shop's computer does not answer. What you typed is kept here: try again in a moment.",
);

function issuesIn(body: unknown): readonly Issue[] {
  const issues =
    typeof body === "object" && body !== null ? (body as { issues?: Issue[] }).issues : undefined;
  return issues && issues.length > 0
    ? issues
    : [issue("", "network/unreadable", "The answer could not be read: load the page again.")];
}

async function send(method: string, path: string, body: unknown): Promise<Response> {
  if (body instanceof Blob)
    return fetch(path, { method, headers: { "content-type": "application/octet-stream" }, body });
  return fetch(path, {
    method,
    headers: body === undefined ? {} : { "content-type": "application/json" },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
}

type Needs<K extends string, T> = [T] extends [undefined]
  ? { readonly [N in K]?: undefined }
  : { readonly [N in K]: T };
/** What a caller of a route says: what its declaration names, and nothing else. */
export type Asking<N extends RouteName> = Needs<"params", ParamsOf<Wire[N]>> &
  Needs<"body", SentOf<Wire[N]>> & { readonly query?: QueryOf<Wire[N]> };

interface Address {
  readonly params?: Readonly<Record<string, string>> | undefined;
  readonly query?: Readonly<Record<string, string | undefined>> | undefined;
}

/** Where a route is asked: its path with what it names filled in. */
export function addressOf(name: RouteName, { params = {}, query = {} }: Address = {}): string {
  const path = name
    .slice(name.indexOf(" ") + 1)
    .replace(/\{(\w+)\}/g, (_, part: string) => encodeURIComponent(params[part] ?? ""));
  const asked = new URLSearchParams(
    Object.entries(query).filter((one): one is [string, string] => one[1] !== undefined),
  ).toString();
  return asked === "" ? path : `${path}?${asked}`;
}

/**
 * One request, once: JSON, or a file as it is. What it takes and answers follows from the route's declaration
 * (src/wire). Sending twice is up to the caller, who knows whether it is harmless.
 */
export async function request<N extends RouteName>(
  name: N,
  ...[asked]: Asking<N> extends Readonly<Record<string, undefined>> ? [] | [Asking<N>] : [Asking<N>]
): Promise<Result<AnswerOf<Wire[N]>> & { readonly status: number }> {
  const method = name.slice(0, name.indexOf(" "));
  const ask = (): Promise<Response> => send(method, addressOf(name, asked), asked?.body);
  const response = await (method === "GET" ? ask() : whileUnderWay(ask)).catch(() => undefined);
  if (!response) return { ...fail(NO_ANSWER), status: 0 };
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok) return { ...ok(answer as AnswerOf<Wire[N]>), status: response.status };
  if (response.status === 401)
    window.location.assign(`/access?to=${encodeURIComponent(window.location.pathname)}`);
  return { ...fail(...issuesIn(answer)), status: response.status };
}
