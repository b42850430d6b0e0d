import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { shopHealth } from "@/server/services/start-shop";

/** The start command waits for this. */
export const GET = endpoint("GET /api/health", {
  handle: async () => ok({ ready: true, ...(await shopHealth()) }),
});
