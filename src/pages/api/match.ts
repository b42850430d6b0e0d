import { fail, issue, ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { jobView } from "@/server/queries/jobs";
import { matchAnswer } from "@/server/services/match-answer";
import { matchFor } from "@/server/services/match-part";
import { readShopContext } from "@/server/services/shop-context";

export const POST = endpoint("POST /api/match", {
  handle: async ({ body }) => {
    const shop = await readShopContext();
    const context = { ...shop.knowledge, limits: shop.limits };
    const found = body.jobId === null ? undefined : await jobView(shop.db, body.jobId, context);
    if (body.jobId !== null && !found)
      return fail(issue("jobId", "not-found/job", `There is no job ${body.jobId}.`, body.jobId));
    const matched = await matchFor(body.asked, found?.view, shop);
    return matched.ok ? ok(await matchAnswer(matched.value)) : matched;
  },
});
