import { ok } from "@/core/result";
import { jobParams, jobViewAnswer } from "@/server/http/answers";
import { defineEndpoint } from "@/server/http/endpoint";
import { jobView } from "@/server/queries/jobs";
import { noSuchJob } from "@/server/services/record-entry";
import { readShopContext } from "@/server/services/shop-context";

export const GET = defineEndpoint({
  about: "A job as its log says it",
  params: jobParams,
  response: jobViewAnswer,
  handle: async ({ params }) => {
    const { db, knowledge, limits } = await readShopContext();
    const found = await jobView(db, Number(params.id), { ...knowledge, limits });
    return found ? ok(found.view) : noSuchJob(params.id);
  },
});
