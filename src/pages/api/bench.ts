import { idIn } from "@/core/fields.input";
import { fail, issue, ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { benchPage, readCursor } from "@/server/services/bench";
import { readShopContext } from "@/server/services/shop-context";

/** Machines as the Bench shows them, a page at a time. */
export const GET = endpoint("GET /api/bench", {
  handle: async ({ query: { job, list, after: given } }) => {
    const shopContext = await readShopContext();
    if (job !== undefined) return ok(await benchPage({ jobId: idIn(job) ?? 0 }, shopContext));
    const after = readCursor(given ?? null);
    if (given !== undefined && !after)
      return fail(
        issue("after", "page/unreadable", "This page begins nowhere: take `next` of the page before.", given),
      );
    return ok(await benchPage({ list: list === "gone" ? "gone" : "here", after }, shopContext));
  },
});
