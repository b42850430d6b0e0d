import * as yup from "yup";
import { limitOverrides } from "@/core/knowledge/limits.input";
import { ok } from "@/core/result";
import { findingSchema } from "@/core/tools/finding.input";
import { findTool } from "@/core/tools/registry";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { shopGround } from "@/server/services/ground";
import { noSuchTool, runTool } from "@/server/services/run-tool";

export const POST = defineEndpoint({
  params: strictObject({ tool: yup.string().required() }),
  body: strictObject({
    input: yup.object().label("input").required(),
    limits: limitOverrides as unknown as yup.Schema<Record<string, number> | undefined>,
  }).required(),
  response: strictObject({ finding: findingSchema.required() }),
  handle: async ({ params, body }) => {
    if (!findTool(params.tool)) return noSuchTool(params.tool);
    const finding = await runTool(params.tool, body.input, body.limits ?? {}, await shopGround());
    return finding.ok ? ok({ finding: finding.value as never }) : finding;
  },
});
