import { fail, type Issue, issue, ok, type Result } from "@/core/result";
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

/** One request, once: JSON, or a file as it is. Sending twice is up to the caller, who knows whether it is harmless. */
export async function request<T>(
  method: "GET" | "POST" | "PUT" | "DELETE",
  path: string,
  body?: unknown,
): Promise<Result<T> & { readonly status: number }> {
  const ask = (): Promise<Response> => send(method, path, body);
  const response = await (method === "GET" ? ask() : whileUnderWay(ask)).catch(() => undefined);
  if (!response) return { ...fail(NO_ANSWER), status: 0 };
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok) return { ...ok(answer as T), status: response.status };
  if (response.status === 401)
    window.location.assign(`/access?to=${encodeURIComponent(window.location.pathname)}`);
  return { ...fail(...issuesIn(answer)), status: response.status };
}
