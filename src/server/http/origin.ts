const SAFE_METHODS: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS"]);
const OWN_SITE: ReadonlySet<string> = new Set(["same-origin", "none"]);

/** Names this server answers to: itself, and what `--host` added. Anything else is a rebinding attempt. */
export function allowedHosts(port: string, extra: string | undefined): ReadonlySet<string> {
  const names = [
    "127.0.0.1",
    "localhost",
    "[::1]",
    ...(extra ?? "").split(",").filter((name) => name !== ""),
  ];
  const known = names.map((name) => name.toLowerCase());
  return new Set(known.flatMap((name) => (port === "80" ? [name, `${name}:80`] : [`${name}:${port}`])));
}

/** Why a request is refused before anything reads it, or undefined. */
export function originRefusal(
  request: Request,
  hosts: ReadonlySet<string>,
): { readonly code: string; readonly message: string } | undefined {
  const host = (request.headers.get("host") ?? "").toLowerCase();
  if (!hosts.has(host))
    return {
      code: "origin/unknown-host",
      message: `This server does not answer to the name "${host}". It answers to ${[...hosts].join(", ")}.`,
    };
  if (SAFE_METHODS.has(request.method)) return undefined;
  const site = request.headers.get("sec-fetch-site");
  const origin = request.headers.get("origin");
  // A proxy that the configuration names may have taken the request by https; of others this header is not let through.
  const protocol = request.headers.get("x-forwarded-proto") ?? new URL(request.url).protocol.slice(0, -1);
  const isForeign =
    (site !== null && !OWN_SITE.has(site)) ||
    (origin !== null && (!URL.canParse(origin) || new URL(origin).origin !== `${protocol}://${host}`));
  if (isForeign)
    return {
      code: "origin/foreign",
      message: `Writes are taken from this shop's own pages only, not from "${origin ?? site}".`,
    };
  return undefined;
}
