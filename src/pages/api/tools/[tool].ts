import * as yup from "yup";
import { limitOverrides } from "@/core/knowledge/limits.input";
import { ok } from "@/core/result";
import { findingSchema } from "@/core/tools/finding.input";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { noSuchTool, runTool } from "@/server/services/run-tool";
import { readShopContext } from "@/server/services/shop-context";
import { TOOL_IDS } from "@/tools/registry";

export const POST = defineEndpoint({
  about: "Runs a tool on readings; nothing is kept",
  params: strictObject({ tool: yup.string().required() }),
  found: ({ tool }) => (TOOL_IDS.includes(tool) ? ok(null) : noSuchTool(tool)),
  body: strictObject({
    input: yup.object().label("input").required(),
    limits: limitOverrides,
  }).required(),
  response: strictObject({ finding: findingSchema.required() }),
  handle: async ({ params, body }) => {
    const finding = await runTool(params.tool, body.input, body.limits ?? {}, await readShopContext());
    return finding.ok ? ok({ finding: finding.value }) : finding;
  },
});
