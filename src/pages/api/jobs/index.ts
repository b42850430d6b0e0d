import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { findJobs } from "@/server/services/bench";
import { readShopContext } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";

export const GET = endpoint("GET /api/jobs", {
  handle: async ({ query: { find = "" } }) =>
    ok({ jobs: await findJobs(find.slice(0, 100), await readShopContext()) }),
});

export const POST = endpoint("POST /api/jobs", {
  handle: async ({ body }) => {
    const made = await takeIn(body, new Date().toISOString(), await readShopContext());
    return made.ok ? ok({ jobId: made.value }) : made;
  },
});
