import * as yup from "yup";
import { ok } from "@/core/result";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { toJsonSchema } from "@/server/http/json-schema";
import { allTools } from "@/tools/registry";

const tool = strictObject({
  id: yup.string().required(),
  title: yup.string().required(),
  version: yup.number().integer().required(),
  /** The kind of marking it takes from the type line. */
  takesMarking: yup.string(),
  input: yup.object().required(),
  example: yup.mixed().required().meta({ any: "Input that the tool accepts" }),
});

/** Every tool with the JSON Schema of its input and one worked example. */
export const GET = defineEndpoint({
  about: "Every tool with the JSON Schema of its input and one worked example",
  response: strictObject({ tools: yup.array(tool.required()).required() }),
  handle: async () =>
    ok({
      tools: (await allTools()).map(({ id, title, version, takesMarking, input, example }) => ({
        id,
        title,
        version,
        ...(takesMarking ? { takesMarking: takesMarking.kind } : {}),
        input: toJsonSchema(input),
        example: example ?? {},
      })),
    }),
});
