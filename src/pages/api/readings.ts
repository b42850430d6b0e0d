import * as yup from "yup";
import { rawObject } from "@/core/fields.input";
import { ok } from "@/core/result";
import { findingSchema } from "@/core/tools/finding.input";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { keepLoose } from "@/server/services/keep-loose-reading";
import { readShopContext } from "@/server/services/shop-context";

/** Keeps a reading of a tool that was used on its own. */
export const POST = defineEndpoint({
  about: "Keeps a reading of a tool that was used on its own",
  body: strictObject({
    id: yup.string().uuid().label("id").required(),
    toolId: yup.string().label("Tool").required(),
    input: rawObject("input", "Input of the tool, as GET /api/tools describes it"),
    by: yup.string().label("By").required().max(40),
  }).required(),
  response: strictObject({
    id: yup.string().required(),
    toolId: yup.string().required(),
    input: rawObject("input", "Input of the tool, as it was sent"),
    finding: findingSchema.required(),
    at: yup.string().required(),
    by: yup.string().required(),
  }),
  handle: async ({ body }) => {
    const kept = await keepLoose(body, new Date().toISOString(), await readShopContext());
    return kept.ok ? ok(kept.value) : kept;
  },
});
