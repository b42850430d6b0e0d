import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { at, fail, issue, ok, type Result } from "@/core/result";
import type { Settings } from "@/core/shop/settings";
import { readSettings, writeSettings } from "@/server/repositories/settings";
import type { StoredSettings } from "@/wire/shop";
import type { ShopContext } from "./shop-context";

/** Stores the shop's settings, unless someone else changed them since `version`. */
export async function changeSettings(
  value: Settings,
  version: number,
  now: string,
  shopContext: ShopContext,
): Promise<Result<StoredSettings>> {
  if (!shopContext.knowledge.regions.some(({ id }) => id === value.region))
    return fail(
      issue("value.region", "unknown/region", `There is no region "${value.region}".`, value.region),
    );
  const limits = resolveLimits(shopContext.knowledge, value.limits);
  if (!limits.ok) return fail(...at("value.limits", limits.issues));
  if (await writeSettings(shopContext.db, value, version, now)) {
    const { unreadable: _, ...stored } = await readSettings(shopContext.db);
    return ok(stored);
  }
  return fail(
    issue(
      "version",
      "stale/settings",
      "The settings were changed on another device meanwhile: what you typed is kept; load the page again and compare.",
      version,
    ),
  );
}
