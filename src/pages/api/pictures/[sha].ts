import type { APIRoute } from "astro";
import { issue } from "@/core/result";
import { problem } from "@/server/http/problem";
import { KEPT_TYPE, readPicture } from "@/server/services/picture-files";

const YEAR_S = 31_536_000;

/** A kept picture, whole or small (`?size=small`): always as a JPEG, which no browser runs. */
export const GET: APIRoute = async ({ params, url }) => {
  const sha = params["sha"] ?? "";
  const size = url.searchParams.get("size") === "small" ? "small" : "whole";
  const bytes = /^[0-9a-f]{64}$/.test(sha) ? await readPicture(sha, size) : undefined;
  if (!bytes) return problem(404, [issue("sha", "not-found/picture", "There is no such picture.", sha)]);
  return new Response(Buffer.from(bytes), {
    headers: {
      "content-type": KEPT_TYPE,
      "content-disposition": `inline; filename="${sha.slice(0, 12)}.jpg"`,
      "cache-control": `private, max-age=${YEAR_S}, immutable`,
    },
  });
};
