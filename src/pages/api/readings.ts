import { endpoint } from "@/server/http/endpoint";
import { keepLoose } from "@/server/services/keep-loose-reading";
import { readShopContext } from "@/server/services/shop-context";

export const POST = endpoint("POST /api/readings", {
  handle: async ({ body }) => keepLoose(body, new Date().toISOString(), await readShopContext()),
});
