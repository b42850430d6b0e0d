import { existsSync } from "node:fs";
import { resolve } from "node:path";

/**
 * Where the build left a thread beside the server (astro.config.ts); undefined in development and tests. Only the built
 * server uses it: a test must never talk to one that an older build left behind.
 */
export function builtWorker(
  name: "archives" | "facts" | "isolation" | "job-files" | "tools",
): string | undefined {
  const path = resolve(`dist/server/${name}.worker.mjs`);
  return import.meta.env?.PROD === true && existsSync(path) ? path : undefined;
}
