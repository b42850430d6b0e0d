// A tool that may take long, away from the server's main thread. Adapter only: one input in, one Result out, then it ends.
import { parentPort, workerData } from "node:worker_threads";
import type { ToolContext } from "@/core/tools/tool";
import { loadTool } from "@/tools/registry";

export interface ToolJob {
  readonly id: string;
  readonly input: unknown;
  readonly context: ToolContext;
}

const { id, input, context } = workerData as ToolJob;
const tool = await loadTool(id);
parentPort?.postMessage(tool?.run(input, context));
