import { ok, type Result } from "@/core/result";
import {
  keepLooseReading,
  type LooseReading,
  latestLooseReadings,
} from "@/server/repositories/loose-readings";
import { runTool } from "./run-tool";
import type { ShopContext } from "./shop-context";

/** Keeps a reading taken with a tool that stands on its own. The same id again changes nothing. */
export async function keepLoose(
  draft: {
    readonly id: string;
    readonly toolId: string;
    readonly input: Readonly<Record<string, unknown>>;
    readonly by: string;
  },
  now: string,
  shopContext: ShopContext,
): Promise<Result<LooseReading>> {
  const finding = await runTool(draft.toolId, draft.input, {}, shopContext);
  if (!finding.ok) return finding;
  const reading = { ...draft, finding: finding.value, at: now };
  await keepLooseReading(shopContext.db, reading);
  return ok(reading);
}

const MOST_SHOWN = 20;

/** The newest readings of a tool, for its own page. */
export function looseReadings(toolId: string, shopContext: ShopContext): Promise<LooseReading[]> {
  return latestLooseReadings(shopContext.db, toolId, MOST_SHOWN);
}
