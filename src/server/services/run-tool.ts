import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { at, fail, issue, type Result } from "@/core/result";
import { findTool, TOOLS } from "@/core/tools/registry";
import type { Finding } from "@/core/tools/tool";
import type { Ground } from "./ground";

type ToolGround = Pick<Ground, "knowledge" | "settings">;

export function noSuchTool(id: string) {
  const known = TOOLS.map((tool) => tool.id).join(", ");
  return fail(issue("tool", "not-found/tool", `There is no tool "${id}". There are: ${known}.`, id));
}

/** Runs a tool of the registry on raw input. Paths of issues begin with `input` or `limits`. */
export async function runTool(
  id: string,
  input: unknown,
  overrides: Readonly<Record<string, number>>,
  ground: ToolGround,
): Promise<Result<Finding>> {
  const registered = findTool(id);
  if (!registered) return noSuchTool(id);
  const limits = resolveLimits(ground.knowledge, { ...ground.settings.value.limits, ...overrides });
  if (!limits.ok) return fail(...at("limits", limits.issues));
  const tool = await registered.load();
  const finding = tool.run(input, { limits: limits.value, knowledgeVersion: ground.knowledge.version });
  return finding.ok ? finding : fail(...at("input", finding.issues));
}
