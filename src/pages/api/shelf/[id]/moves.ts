import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { moveStock, stockLines } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/shelf/{id}/moves", {
  handle: async ({ params: { id } }) => ok({ moves: await stockLines(id, await readShopContext()) }),
});

export const POST = endpoint("POST /api/shelf/{id}/moves", {
  handle: async ({ params: { id }, body }) =>
    moveStock(id, body, new Date().toISOString(), await readShopContext()),
});
