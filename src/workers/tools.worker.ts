import * as Comlink from "comlink";
import { fail, issue, type Result } from "@/core/result";
import type { Finding } from "@/core/tools/finding.input";
import type { Progress, ToolContext } from "@/core/tools/tool";
import { loadTool } from "@/tools/registry";

/** Tools that take long, away from the page's own thread. Adapter only: plain data in and out. */
const api = {
  async run(id: string, input: unknown, context: ToolContext, progress: Progress): Promise<Result<Finding>> {
    const tool = await loadTool(id);
    return (
      tool?.run(input, context, progress) ?? fail(issue("", "tool/unknown", `There is no tool "${id}".`, id))
    );
  },
};

export type ToolsWorker = typeof api;

Comlink.expose(api);
