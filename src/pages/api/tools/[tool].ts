import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { noSuchTool, runTool } from "@/server/services/run-tool";
import { readShopContext } from "@/server/services/shop-context";
import { TOOL_IDS } from "@/tools/registry";

export const POST = endpoint("POST /api/tools/{tool}", {
  found: ({ tool }) => (TOOL_IDS.includes(tool) ? ok(null) : noSuchTool(tool)),
  handle: async ({ params, body }) => {
    const finding = await runTool(params.tool, body.input, body.limits ?? {}, await readShopContext());
    return finding.ok ? ok({ finding: finding.value }) : finding;
  },
});
