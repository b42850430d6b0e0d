import { endpoint } from "@/server/http/endpoint";
import { isolateOffThread } from "@/server/services/isolate";
import { readShopContext } from "@/server/services/shop-context";

export const POST = endpoint("POST /api/isolate", {
  handle: async ({ body }) => isolateOffThread(body, await readShopContext()),
});
