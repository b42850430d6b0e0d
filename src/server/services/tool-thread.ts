import type { Result } from "@/core/result";
import type { Finding } from "@/core/tools/finding.input";
import type { Tool, ToolContext } from "@/core/tools/tool";
import { builtWorker } from "@/server/threads/built-worker";
import { keptThread } from "@/server/threads/kept-thread";
import type { ToolJob } from "@/workers/tools.server";

const WORKER_PATH = builtWorker("tools");

const thread = WORKER_PATH === undefined ? undefined : keptThread<ToolJob, Result<Finding>>(WORKER_PATH);

/** What a tool says of its input: of one that may take long from a thread of its own, so that nobody else waits for it. */
export function runOffThread(tool: Tool, input: unknown, context: ToolContext): Promise<Result<Finding>> {
  if (tool.isLong !== true || thread === undefined) return Promise.resolve(tool.run(input, context));
  return thread.ask({ toolId: tool.id, input, context });
}
