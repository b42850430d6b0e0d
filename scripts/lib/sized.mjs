import { cpSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Whether a bench only shows that it runs to its end: npm run bench -- --smoke. Its figures say nothing then. */
export const isSmoke = process.env.BENCH_SMOKE === "yes";

/** How often, or how many: as measured, or as few as show that it runs. */
export const sized = (full, few) => (isSmoke ? few : full);

/** A folder for a server to start with the demo in: new, or in short a copy of the one that was made for all. */
export function demoFolder() {
  const data = join(mkdtempSync(join(tmpdir(), "spindle-bench-")), "shop");
  const made = process.env.BENCH_DEMO;
  if (made) cpSync(made, data, { recursive: true });
  return data;
}
