import { endpoint } from "@/server/http/endpoint";
import { forgetOwner } from "@/server/services/forget-owner";
import { renameOwner } from "@/server/services/owners";
import { readShopContext } from "@/server/services/shop-context";

export const PUT = endpoint("PUT /api/owners/{id}", {
  handle: async ({ params: { id }, body }) => renameOwner(Number(id), body, await readShopContext()),
});

export const DELETE = endpoint("DELETE /api/owners/{id}", {
  handle: async ({ params: { id } }) => forgetOwner(Number(id), await readShopContext()),
});
