import { createServer, type IncomingMessage, type RequestListener, type ServerResponse } from "node:http";
import type { Duplex } from "node:stream";
import { COMMON_HEADERS } from "./http/headers";

/**
 * The built server's front door: what must hold of every answer, static files, errors and odd methods included, stands
 * here, before anything of the framework. Bundled beside the built entry and started by `npm start`.
 */
const METHODS: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS", "POST", "PUT", "DELETE"]);
const FORWARDED = ["x-forwarded-for", "x-forwarded-host", "x-forwarded-proto", "x-forwarded-port"] as const;

/** Only a proxy that the configuration names may say where a request came from: anybody can write a header. */
function withoutForgedAddress(request: IncomingMessage, trusted: string | undefined): void {
  if (trusted !== undefined && request.socket.remoteAddress === trusted) return;
  for (const name of FORWARDED) delete request.headers[name];
}

function refuse(response: ServerResponse, method: string | undefined): void {
  const message = `${method ?? "This method"} is not taken here: ${[...METHODS].join(", ")} are.`;
  response.writeHead(405, {
    "content-type": "application/problem+json; charset=utf-8",
    allow: [...METHODS].join(", "),
  });
  response.end(
    JSON.stringify({
      type: "/problems/405",
      title: "Refused",
      status: 405,
      issues: [{ path: "", code: "method/not-taken", message }],
    }),
  );
}

/** What is no request of HTTP gets no further than here, and the same headers. */
function refuseUnread(error: Error & { readonly code?: string }, socket: Duplex): void {
  if (error.code === "ECONNRESET" || !socket.writable) return void socket.destroy();
  const status =
    error.code === "HPE_HEADER_OVERFLOW" ? "431 Request Header Fields Too Large" : "400 Bad Request";
  const headers = Object.entries({ ...COMMON_HEADERS, connection: "close", "content-length": "0" });
  socket.end(`HTTP/1.1 ${status}\r\n${headers.map(([name, value]) => `${name}: ${value}\r\n`).join("")}\r\n`);
}

async function serve(): Promise<void> {
  process.env["ASTRO_NODE_AUTOSTART"] = "disabled";
  // React makes its pages several times slower while it looks out for mistakes of its programmers.
  process.env["NODE_ENV"] ??= "production";
  const entry = "./entry.mjs";
  const { handler } = (await import(entry)) as { readonly handler: RequestListener };
  const host = process.env["HOST"] ?? "127.0.0.1";
  const port = Number(process.env["PORT"] ?? 4321);
  const proxy = process.env["GOOD_SPINDLE_PROXY"];
  const server = createServer((request, response) => {
    for (const [name, value] of Object.entries(COMMON_HEADERS)) response.setHeader(name, value);
    withoutForgedAddress(request, proxy);
    if (METHODS.has(request.method ?? "")) handler(request, response);
    else refuse(response, request.method);
  });
  server.on("clientError", refuseUnread);
  server.once("error", (error) => {
    console.error(`Cannot serve on ${host}:${port}: ${error.message}`);
    process.exit(1);
  });
  // The database is opened, and a new shop seeded, before anybody asks.
  server.listen(port, host, () => {
    const own = host === "0.0.0.0" || host === "::" ? "127.0.0.1" : host;
    void fetch(`http://${own}:${port}/api/health`).catch(() => undefined);
  });
}

void serve();
