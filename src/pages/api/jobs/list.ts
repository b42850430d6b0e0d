import { fail, issue, ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { readCursor } from "@/server/services/bench";
import { jobList } from "@/server/services/job-list";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/jobs/list", {
  handle: async ({ query: { after: given } }) => {
    const after = readCursor(given ?? null);
    if (given !== undefined && !after)
      return fail(
        issue("after", "page/unreadable", "This page begins nowhere: take `next` of the page before.", given),
      );
    return ok(await jobList(after, new Date().toISOString(), await readShopContext()));
  },
});
