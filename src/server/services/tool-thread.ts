import { existsSync } from "node:fs";
import { resolve } from "node:path";
import { Worker } from "node:worker_threads";
import type { Result } from "@/core/result";
import type { Finding } from "@/core/tools/finding.input";
import type { Tool, ToolContext } from "@/core/tools/tool";

/** Left by the build beside the server (astro.config.ts). */
const WORKER_PATH = resolve("dist/server/tools.worker.mjs");

/** Only the built server uses the built thread: a test must never talk to one that an older build left behind. */
const IS_BUILT = import.meta.env?.PROD === true && existsSync(WORKER_PATH);

/** What a tool says of its input: of one that may take long from a thread of its own, so that nobody else waits for it. */
export function runOffThread(tool: Tool, input: unknown, context: ToolContext): Promise<Result<Finding>> {
  if (tool.isLong !== true || !IS_BUILT) return Promise.resolve(tool.run(input, context));
  return new Promise((done, reject) => {
    const thread = new Worker(WORKER_PATH, { workerData: { id: tool.id, input, context } });
    thread.once("message", done);
    thread.once("error", reject);
    // Whoever has had the answer is past caring.
    thread.once("exit", () => reject(new Error(`the thread of "${tool.id}" ended without an answer`)));
  });
}
