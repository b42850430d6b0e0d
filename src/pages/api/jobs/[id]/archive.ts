import { idIn } from "@/core/fields.input";
import { plainRoute } from "@/server/http/endpoint";
import { problem } from "@/server/http/problem";
import { exportJob } from "@/server/services/export-job";
import { noSuchJob } from "@/server/services/record-entry";
import { readShopContext } from "@/server/services/shop-context";

/** A job as a file that another shop can take in. */
export const GET = plainRoute("GET /api/jobs/{id}/archive", async ({ params }) => {
  const id = params["id"] ?? "";
  const jobId = idIn(id);
  const made = jobId === undefined ? noSuchJob(id) : await exportJob(jobId, await readShopContext());
  if (!made.ok) return problem(404, made.issues);
  return new Response(new Uint8Array(made.value), {
    headers: {
      "content-type": "application/zip",
      "content-disposition": `attachment; filename="job-${id}.job.zip"`,
      "cache-control": "no-store",
    },
  });
});
