// Gzipped JavaScript that a page loads before anyone touches it: its islands and all they import.
import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { gzipSync } from "node:zlib";

const STATIC_IMPORT = /(?:^|[;}\s])(?:import|export)\s*(?:[\w*{}$,\s]*?\s*from\s*)?["'](\.[^"']+)["']/g;

function withImports(path, seen) {
  if (seen.has(path)) return seen;
  seen.add(path);
  const source = readFileSync(join("dist/client", path), "utf8");
  for (const [, to] of source.matchAll(STATIC_IMPORT)) withImports(join(dirname(path), to), seen);
  return seen;
}

/** @returns kilobytes, gzipped one file at a time as they are sent */
export async function pageWeight(address, path) {
  const html = await (await fetch(`${address}${path}`)).text();
  const entries = [
    ...html.matchAll(/(?:component-url|renderer-url|before-hydration-url|src)="(\/_astro\/[^"]+\.js)"/g),
  ].map(([, url]) => url);
  const files = entries.reduce((seen, entry) => withImports(entry, seen), new Set());
  const bytes = [...files].reduce(
    (sum, file) => sum + gzipSync(readFileSync(join("dist/client", file))).length,
    0,
  );
  return { kilobytes: bytes / 1000, files: files.size };
}
