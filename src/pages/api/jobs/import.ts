import * as yup from "yup";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { importJob } from "@/server/services/import-job";
import { readShopContext } from "@/server/services/shop-context";

const MAX_BYTES = 100 * 1024 * 1024;

/** Takes in a job that another shop exported: the body is the file itself. */
export const POST = defineEndpoint({
  about: "Takes in a job that another shop exported: the body is the file itself",
  query: { by: "Who takes it in" },
  fileUpTo: MAX_BYTES,
  response: strictObject({ jobId: yup.number().integer().required() }),
  handle: async ({ bytes, context }) => {
    const by = (context.url.searchParams.get("by") ?? "").trim().slice(0, 40) || "import";
    return importJob(bytes, by, new Date().toISOString(), await readShopContext());
  },
});
