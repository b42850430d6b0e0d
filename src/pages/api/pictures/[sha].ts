import { issue } from "@/core/result";
import { plainRoute } from "@/server/http/endpoint";
import { problem } from "@/server/http/problem";
import { isKeptPicture, KEPT_TYPE, readPicture } from "@/server/services/keep-picture";

const YEAR_S = 31_536_000;

/** A kept picture, whole or small (`?size=small`): always as a JPEG, which no browser runs. */
export const GET = plainRoute("GET /api/pictures/{sha}", async ({ params, url }) => {
  const sha = params["sha"] ?? "";
  const size = url.searchParams.get("size") === "small" ? "small" : "whole";
  const isAddress = /^[0-9a-f]{64}$/.test(sha);
  const bytes = isAddress ? await readPicture(sha, size) : undefined;
  if (!bytes) {
    const message =
      isAddress && (await isKeptPicture(sha))
        ? "This picture was kept here, and its file is gone: put the folder pictures of a backup back into the data folder."
        : "There is no such picture.";
    return problem(404, [issue("sha", "not-found/picture", message, sha)]);
  }
  return new Response(Buffer.from(bytes), {
    headers: {
      "content-type": KEPT_TYPE,
      "content-disposition": `inline; filename="${sha.slice(0, 12)}.jpg"`,
      "cache-control": `private, max-age=${YEAR_S}, immutable`,
    },
  });
});
