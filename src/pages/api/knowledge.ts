import { plainRoute } from "@/server/http/endpoint";
import { readShopContext } from "@/server/services/shop-context";

/** The knowledge that answers stand on; its version is the ETag, so that a screen fetches it once. */
export const GET = plainRoute("GET /api/knowledge", async ({ request }) => {
  const { knowledge } = await readShopContext();
  const etag = `"${knowledge.version}"`;
  const headers = { etag, "cache-control": "private, no-cache" };
  if (request.headers.get("if-none-match") === etag) return new Response(null, { status: 304, headers });
  return Response.json(knowledge, { headers });
});
