import { fail, issue, type Result } from "@/core/result";
import type { ShopFacts } from "./completion";

export function noSuchRepair(repair: string, { knowledge }: Pick<ShopFacts, "knowledge">): Result<never> {
  const known = knowledge.repairs.map(({ id }) => id).join(", ");
  return fail(
    issue("payload.repair", "unknown/repair", `There is no repair "${repair}": known are ${known}.`, repair),
  );
}
