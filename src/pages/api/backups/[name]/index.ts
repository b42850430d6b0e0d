import { issue } from "@/core/result";
import { openBackup } from "@/server/backup/backups";
import { plainRoute } from "@/server/http/endpoint";
import { problem } from "@/server/http/problem";

/** A backup as it lies there. Only names that the shop lists are ever opened. */
export const GET = plainRoute("GET /api/backups/{name}", async ({ params }) => {
  const found = openBackup(params["name"]);
  if (!found)
    return problem(404, [
      issue("name", "not-found/backup", "There is no such backup.", params["name"] ?? ""),
    ]);
  const { backup, bytes } = found;
  return new Response(bytes, {
    headers: {
      "content-type": "application/zip",
      "content-length": String(backup.bytes),
      "content-disposition": `attachment; filename="${backup.name}"`,
      "cache-control": "no-store",
    },
  });
});
