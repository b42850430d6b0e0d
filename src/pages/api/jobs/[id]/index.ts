import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { jobView } from "@/server/queries/jobs";
import { noSuchJob } from "@/server/services/record-entry";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/jobs/{id}", {
  handle: async ({ params }) => {
    const { db, knowledge, limits } = await readShopContext();
    const found = await jobView(db, Number(params.id), { ...knowledge, limits });
    return found ? ok(found.view) : noSuchJob(params.id);
  },
});
