import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { putOnShelf, shelfLines } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/shelf", {
  handle: async () => ok({ parts: await shelfLines(await readShopContext()) }),
});

export const POST = endpoint("POST /api/shelf", {
  handle: async ({ body }) => putOnShelf(body, new Date().toISOString(), await readShopContext()),
});
