import { endpoint } from "@/server/http/endpoint";
import { forgetOwnerOfJob } from "@/server/services/forget-owner";
import { readShopContext } from "@/server/services/shop-context";

/** Name and contact are no longer kept, the job is. */
export const DELETE = endpoint("DELETE /api/jobs/{id}/owner", {
  handle: async ({ params }) => forgetOwnerOfJob(Number(params.id), await readShopContext()),
});
