import { fail, issue, ok, type Result } from "@/core/result";
import { canonicalJson } from "@/server/db/content-hash";
import {
  keepLooseReading,
  type LooseReading,
  latestLooseReadings,
  looseReading,
} from "@/server/repositories/loose-readings";
import { runTool } from "./run-tool";
import type { ShopContext } from "./shop-context";

/**
 * Keeps a reading taken with a tool that stands on its own. The same again changes nothing and answers as the first time
 * did; the same id with other content is refused.
 */
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
  const kept = (await looseReading(shopContext.db, draft.id)) ?? reading;
  const isSame = kept.toolId === draft.toolId && canonicalJson(kept.input) === canonicalJson(draft.input);
  return isSame
    ? ok(kept)
    : fail(
        issue(
          "id",
          "stale/reading-id",
          `id ${draft.id} was used for another reading: make a new one.`,
          draft.id,
        ),
      );
}

const MOST_SHOWN = 20;

/** The newest readings of a tool, for its own page. */
export function looseReadings(toolId: string, shopContext: ShopContext): Promise<LooseReading[]> {
  return latestLooseReadings(shopContext.db, toolId, MOST_SHOWN);
}
