import type { APIRoute } from "astro";
import { readShopContext } from "@/server/services/shop-context";
import { shopProps, tradeScript } from "@/server/services/shop-props";

/** The words of the trade for every page: kept by the browser as long as the knowledge is the same. */
export const GET: APIRoute = async ({ params }) => {
  const shop = shopProps(await readShopContext(), new Date().toISOString());
  const isNow = params["version"] === shop.knowledgeVersion;
  return new Response(tradeScript(shop), {
    headers: {
      "content-type": "text/javascript; charset=utf-8",
      "cache-control": isNow ? "private, max-age=31536000, immutable" : "no-store",
    },
  });
};
