import { endpoint } from "@/server/http/endpoint";
import { reshelve } from "@/server/services/shelf";
import { readShopContext } from "@/server/services/shop-context";

export const PUT = endpoint("PUT /api/shelf/{id}", {
  handle: async ({ params: { id }, body }) => reshelve(id, body, await readShopContext()),
});
