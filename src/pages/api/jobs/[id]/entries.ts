import { endpoint } from "@/server/http/endpoint";
import { type EntryDraft, recordEntry } from "@/server/services/record-entry";
import { readShopContext } from "@/server/services/shop-context";

export const POST = endpoint("POST /api/jobs/{id}/entries", {
  handle: async ({ params, body }) =>
    recordEntry(Number(params.id), body as EntryDraft, new Date().toISOString(), await readShopContext()),
});
