import { type Issue, issue } from "@/core/result";

/** The one wire shape for failure (RFC 9457). */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly issues: readonly Issue[];
  readonly requestId?: string;
}

const TITLES: Readonly<Record<number, string>> = {
  400: "The request cannot be read",
  401: "The access code is needed",
  403: "This request came from another place",
  404: "There is no such thing here",
  405: "This address is asked in another way",
  409: "This cannot be done now",
  413: "The request is too large",
  422: "Some values cannot be used",
  423: "Too many wrong tries",
  500: "Something went wrong here",
  503: "The database does not answer",
  507: "There is no room",
};

const TYPES: Readonly<Record<number, string>> = { 404: "not-found", 409: "conflict", 422: "input" };

export function problem(status: number, issues: readonly Issue[], requestId?: string): Response {
  const body: Problem = {
    type: `/problems/${TYPES[status] ?? status}`,
    title: TITLES[status] ?? "Refused",
    status,
    issues,
    ...(requestId ? { requestId } : {}),
  };
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/problem+json; charset=utf-8", "cache-control": "no-store" },
  });
}

/** Status of expected failures, by the first part of the first issue's code. */
export function statusOf(issues: readonly Issue[]): number {
  const family = issues[0]?.code.split("/")[0];
  if (family === "not-found") return 404;
  if (family === "guard" || family === "stale") return 409;
  return 422;
}

export function oneProblem(status: number, code: string, message: string, given?: unknown): Response {
  return problem(status, [issue("", code, message, given)]);
}
