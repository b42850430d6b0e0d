import { endpoint } from "@/server/http/endpoint";
import { importJob } from "@/server/services/import-job";
import { readShopContext } from "@/server/services/shop-context";

export const POST = endpoint("POST /api/jobs/import", {
  handle: async ({ bytes, query }) => {
    const by = (query.by ?? "").trim().slice(0, 40) || "import";
    return importJob(bytes, by, new Date().toISOString(), await readShopContext());
  },
});
