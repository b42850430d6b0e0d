import { Worker } from "node:worker_threads";
import type { Result } from "@/core/result";
import type { Finding } from "@/core/tools/finding.input";
import type { Tool, ToolContext } from "@/core/tools/tool";
import { builtWorker } from "./built-worker";

const WORKER_PATH = builtWorker("tools");

/** What a tool says of its input: of one that may take long from a thread of its own, so that nobody else waits for it. */
export function runOffThread(tool: Tool, input: unknown, context: ToolContext): Promise<Result<Finding>> {
  if (tool.isLong !== true || WORKER_PATH === undefined) return Promise.resolve(tool.run(input, context));
  return new Promise((done, reject) => {
    const thread = new Worker(WORKER_PATH, { workerData: { id: tool.id, input, context } });
    thread.once("message", done);
    thread.once("error", reject);
    // Whoever has had the answer is past caring.
    thread.once("exit", () => reject(new Error(`the thread of "${tool.id}" ended without an answer`)));
  });
}
