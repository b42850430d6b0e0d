/** Set on every answer. `style-src` allows inline styles, scripts never (docs/decisions/0004). */
export const COMMON_HEADERS = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "no-referrer",
  "x-frame-options": "DENY",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
  "permissions-policy": "camera=(self), microphone=(), geolocation=(), payment=()",
};

const PAGE_POLICY: readonly string[] = [
  "default-src 'self'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
  "style-src 'self' 'unsafe-inline'",
];

/** The page's own script hashes, as the build worked them out, with our directives around them. */
function policyFor(built: string | null, isPage: boolean): string {
  if (!isPage) return "default-src 'none'; frame-ancestors 'none'";
  const scripts = (built ?? "")
    .split(";")
    .map((part) => part.trim())
    .find((part) => part.startsWith("script-src "));
  return [...PAGE_POLICY, scripts ?? "script-src 'self'"].join("; ");
}

export function withSecurityHeaders(response: Response, requestId: string, isBuilt: boolean): Response {
  const headers = new Headers(response.headers);
  for (const [name, value] of Object.entries(COMMON_HEADERS)) headers.set(name, value);
  headers.set("x-request-id", requestId);
  const isPage = (headers.get("content-type") ?? "").startsWith("text/html");
  if (isBuilt)
    headers.set("content-security-policy", policyFor(headers.get("content-security-policy"), isPage));
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers });
}
