import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { findOwners } from "@/server/services/owners";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/owners", {
  handle: async ({ query: { find = "" } }) =>
    ok({ owners: await findOwners(find.slice(0, 100), await readShopContext()) }),
});
