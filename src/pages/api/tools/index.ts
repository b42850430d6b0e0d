import * as yup from "yup";
import { ok } from "@/core/result";
import { toJsonSchema } from "@/core/tools/json-schema";
import { TOOLS } from "@/core/tools/registry";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";

const tool = strictObject({
  id: yup.string().required(),
  title: yup.string().required(),
  version: yup.number().integer().required(),
  input: yup.object().required(),
  example: yup.object().required(),
});

/** Every tool with the JSON Schema of its input and one worked example. */
export const GET = defineEndpoint({
  response: strictObject({ tools: yup.array(tool.required()).required() }),
  handle: async () => {
    const loaded = await Promise.all(TOOLS.map(({ load }) => load()));
    return ok({
      tools: loaded.map(({ id, title, version, input, example }) => ({
        id,
        title,
        version,
        input: toJsonSchema(input),
        example: example as object,
      })),
    });
  },
});
