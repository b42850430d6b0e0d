import type { APIRoute } from "astro";
import { issue } from "@/core/result";
import { problem } from "@/server/http/problem";
import { jobCalendar } from "@/server/services/job-calendar";
import { jobPage } from "@/server/services/job-page";

/** What is to be looked at again, for any calendar. */
export const GET: APIRoute = async ({ params }) => {
  const page = await jobPage(params["id"]);
  if (!page)
    return problem(404, [issue("id", "not-found/job", `There is no job ${params["id"]}.`, params["id"])]);
  const { view, ownerName, shop } = page;
  const calendar = jobCalendar(view, { shopName: shop.settings.shopName, ownerName });
  if (calendar === undefined)
    return problem(404, [
      issue("id", "not-found/day", `Job ${view.jobId} has nothing to look at again on a day.`, params["id"]),
    ]);
  return new Response(calendar, {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `attachment; filename="job-${view.jobId}.ics"`,
      "cache-control": "no-store",
    },
  });
};
