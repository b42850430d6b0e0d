import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { at, fail, issue, type Result } from "@/core/result";
import type { Finding } from "@/core/tools/finding.input";
import { loadTool, TOOL_IDS } from "@/tools/registry";
import type { ShopContext } from "./shop-context";
import { runOffThread } from "./tool-thread";

type ToolContext = Pick<ShopContext, "knowledge" | "settings">;

export function noSuchTool(id: string) {
  return fail(
    issue("tool", "not-found/tool", `There is no tool "${id}". There are: ${TOOL_IDS.join(", ")}.`, id),
  );
}

/** Runs a tool of the registry on raw input. Paths of issues begin with `input` or `limits`. */
export async function runTool(
  id: string,
  input: unknown,
  overrides: Readonly<Record<string, number>>,
  shopContext: ToolContext,
): Promise<Result<Finding>> {
  const tool = await loadTool(id);
  if (!tool) return noSuchTool(id);
  const limits = resolveLimits(shopContext.knowledge, { ...shopContext.settings.value.limits, ...overrides });
  if (!limits.ok) return fail(...at("limits", limits.issues));
  const finding = await runOffThread(tool, input, {
    limits: limits.value,
    knowledgeVersion: shopContext.knowledge.version,
  });
  return finding.ok ? finding : fail(...at("input", finding.issues));
}
