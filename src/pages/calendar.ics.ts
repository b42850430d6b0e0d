import type { APIRoute } from "astro";
import { issue } from "@/core/result";
import { problem } from "@/server/http/problem";
import { isCalendarKey, shopCalendar } from "@/server/services/shop-calendar";
import { readShopContext } from "@/server/services/shop-context";

/** The days of the shop for any calendar, at a secret address that Set-up makes and revokes. */
export const GET: APIRoute = async ({ url }) => {
  const shopContext = await readShopContext();
  if (!isCalendarKey(url.searchParams.get("key"), shopContext))
    return problem(404, [
      issue("key", "not-found/calendar", "There is no calendar at this address: Set-up makes one.", ""),
    ]);
  return new Response(await shopCalendar(shopContext), {
    headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "no-store" },
  });
};
