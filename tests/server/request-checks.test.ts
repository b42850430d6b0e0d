import { describe, expect, it } from "vitest";
import { withSecurityHeaders } from "@/server/http/headers";
import { allowedHosts, originRefusal } from "@/server/http/origin";

const HOSTS = allowedHosts("4321", "192.168.7.4");

function refusal(method: string, headers: Record<string, string>) {
  return originRefusal(new Request("http://127.0.0.1:4321/api/jobs", { method, headers }), HOSTS)?.code;
}

describe("requests that are refused before anything reads them", () => {
  it.each<[string, string, Record<string, string>, string | undefined]>([
    [
      "a page of ours",
      "POST",
      { host: "127.0.0.1:4321", origin: "http://127.0.0.1:4321", "sec-fetch-site": "same-origin" },
      undefined,
    ],
    ["a program without a browser", "POST", { host: "127.0.0.1:4321" }, undefined],
    [
      "the workshop's tablet",
      "POST",
      { host: "192.168.7.4:4321", origin: "http://192.168.7.4:4321" },
      undefined,
    ],
    [
      "reading is not writing",
      "GET",
      { host: "localhost:4321", origin: "http://elsewhere.example" },
      undefined,
    ],
    [
      "another site",
      "POST",
      { host: "127.0.0.1:4321", origin: "http://elsewhere.example" },
      "origin/foreign",
    ],
    [
      "another port of this machine",
      "PUT",
      { host: "127.0.0.1:4321", origin: "http://127.0.0.1:9999" },
      "origin/foreign",
    ],
    [
      "the same name by another protocol",
      "POST",
      { host: "127.0.0.1:4321", origin: "https://127.0.0.1:4321" },
      "origin/foreign",
    ],
    [
      "a page that a proxy of ours took by https",
      "POST",
      { host: "127.0.0.1:4321", origin: "https://127.0.0.1:4321", "x-forwarded-proto": "https" },
      undefined,
    ],
    ["a sandboxed page", "POST", { host: "127.0.0.1:4321", origin: "null" }, "origin/foreign"],
    [
      "another site without an origin",
      "POST",
      { host: "127.0.0.1:4321", "sec-fetch-site": "cross-site" },
      "origin/foreign",
    ],
    [
      "another subdomain",
      "POST",
      { host: "127.0.0.1:4321", "sec-fetch-site": "same-site" },
      "origin/foreign",
    ],
    ["a name that was rebound", "GET", { host: "evil.example:4321" }, "origin/unknown-host"],
    ["the right name on the wrong port", "GET", { host: "127.0.0.1:80" }, "origin/unknown-host"],
    ["no name at all", "GET", {}, "origin/unknown-host"],
  ])("%s", (_, method, headers, code) => {
    expect(refusal(method, headers)).toBe(code);
  });
});

describe("headers on every answer", () => {
  const page = new Response("<html>", {
    headers: {
      "content-type": "text/html",
      "content-security-policy": "script-src 'self' 'sha256-abc='; style-src 'self'",
    },
  });
  it("a page may run its own scripts by hash, and none inline", () => {
    const policy = withSecurityHeaders(page, "r1", true).headers.get("content-security-policy") ?? "";
    expect(policy).toContain("script-src 'self' 'sha256-abc='");
    expect(policy.match(/script-src[^;]*/)?.[0]).not.toContain("unsafe");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toContain("default-src 'self'");
  });

  it("an answer of the API may do nothing at all in a browser", () => {
    const { headers } = withSecurityHeaders(Response.json({}), "r2", true);
    expect(headers.get("content-security-policy")).toBe("default-src 'none'; frame-ancestors 'none'");
    expect(headers.get("x-content-type-options")).toBe("nosniff");
    expect(headers.get("x-request-id")).toBe("r2");
  });
});
