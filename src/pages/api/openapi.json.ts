import { describeRoute } from "@/server/http/endpoint";
import { openApi, placedRoutes } from "@/server/http/openapi";
import { readShopContext } from "@/server/services/shop-context";

/** Every other route, and this one's own line is added by hand: it cannot import itself. */
const ROUTES = import.meta.glob<Record<string, unknown>>(["./**/*.ts", "!./openapi.json.ts"], {
  eager: true,
});

/** The API described by the schemas that it uses. */
export const GET = describeRoute(
  { about: "This description, OpenAPI 3.1", answers: "application/json" },
  async () => {
    const { knowledge } = await readShopContext();
    const own = { path: "/api/openapi.json", method: "get", says: GET };
    return Response.json(openApi([...placedRoutes(ROUTES), own], knowledge.version), {
      headers: { "cache-control": "no-store" },
    });
  },
);
