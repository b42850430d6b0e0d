import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { partsByMark } from "@/server/services/parts-by-mark";
import { readShopContext } from "@/server/services/shop-context";

/** No stamp is longer. */
const LONGEST = 80;

export const GET = endpoint("GET /api/parts", {
  handle: async ({ query: { mark = "" } }) =>
    ok({ parts: await partsByMark(mark.slice(0, LONGEST), await readShopContext()) }),
});
