import { ok } from "@/core/result";
import { endpoint } from "@/server/http/endpoint";
import { changeSettings } from "@/server/services/change-settings";
import { readShopContext } from "@/server/services/shop-context";

export const GET = endpoint("GET /api/settings", {
  handle: async () => {
    const { value, version } = (await readShopContext()).settings;
    return ok({ value, version });
  },
});

export const PUT = endpoint("PUT /api/settings", {
  handle: async ({ body }) =>
    changeSettings(body.value, body.version, new Date().toISOString(), await readShopContext()),
});
