import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { runningTimers } from "@/server/queries/timers";
import { readShopContext } from "@/server/services/shop-context";

/** Every screen rings for every one of them. */
export const GET = endpoint("GET /api/timers", {
  handle: async () => {
    const { db } = await readShopContext();
    return ok({ timers: await runningTimers(db, new Date().toISOString()) });
  },
});
