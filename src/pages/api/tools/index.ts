import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { toJsonSchema } from "@/server/http/json-schema";
import { allTools } from "@/tools/registry";

export const GET = endpoint("GET /api/tools", {
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
