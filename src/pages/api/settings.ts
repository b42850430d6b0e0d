import * as yup from "yup";
import { ok } from "@/core/result";
import { settingsSchema } from "@/core/shop/settings.input";
import { strictObject } from "@/core/validate";
import { defineEndpoint } from "@/server/http/endpoint";
import { changeSettings } from "@/server/services/change-settings";
import { readShopContext } from "@/server/services/shop-context";

const stored = strictObject({
  value: settingsSchema.required(),
  version: yup.number().label("Version").integer().min(0).max(2_000_000_000).required(),
});

export const GET = defineEndpoint({
  about: "What the shop has set for itself",
  response: stored,
  handle: async () => {
    const { value, version } = (await readShopContext()).settings;
    return ok({ value, version });
  },
});

export const PUT = defineEndpoint({
  about: "Changes what the shop has set; refused when somebody changed it since",
  body: stored.required(),
  response: stored,
  handle: async ({ body }) => {
    const changed = await changeSettings(
      body.value,
      body.version,
      new Date().toISOString(),
      await readShopContext(),
    );
    return changed.ok ? ok(changed.value) : changed;
  },
});
