// Tools that may take long, away from the server's main thread. Adapter only: one input in, one Result out.
import type { ToolContext } from "@/core/tools/tool";
import { loadTool } from "@/tools/registry";
import { answerAll } from "./answer-all";

export interface ToolJob {
  readonly toolId: string;
  readonly input: unknown;
  readonly context: ToolContext;
}

answerAll(async ({ toolId, input, context }: ToolJob) => (await loadTool(toolId))?.run(input, context));
