import { plainRoute } from "@/server/http/endpoint";
import { openApi } from "@/server/http/openapi";
import { readShopContext } from "@/server/services/shop-context";
import { WIRE } from "@/wire/wire";

/** The API described by the declarations that it is served by. */
export const GET = plainRoute("GET /api/openapi.json", async () => {
  const { knowledge } = await readShopContext();
  return Response.json(openApi(WIRE, knowledge.version), { headers: { "cache-control": "no-store" } });
});
