import type { Result } from "@/core/result";
import { putShopBack } from "@/server/backup/put-back-shop";
import { announceGap } from "./changes";
import { bringToLife } from "./start-shop";
import { undertake } from "./undertaking";

/** Puts the shop back to one of its backups while it is served; every screen loads anew. */
export function restoreShop(name: string, now: Date): Result<{ readonly over: Promise<void> }> {
  return undertake("restore", now, async () => {
    const put = await putShopBack(name, now, bringToLife);
    if (put.ok) announceGap();
    return put;
  });
}
