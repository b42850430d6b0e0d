import type { ShopCounts } from "@/core/isolation/shop-counts";
import { type Parameters, parametersOf } from "@/core/knowledge/parameters";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import type { Knowledge, Limits } from "@/core/knowledge/types";
import { cardOf, type ToolCard } from "@/core/tools/tool";
import type { Executor } from "@/server/db/executor";
import { shopDatabase } from "@/server/db/shop-database";
import { readSettings, type StoredSettings } from "@/server/repositories/settings";
import { allTools } from "@/tools/registry";
import { shopKnowledge } from "./knowledge";
import { shopCounts } from "./shop-counts";

/** What every service stands on. */
export interface ShopContext {
  readonly db: Executor;
  readonly knowledge: Knowledge;
  readonly settings: StoredSettings;
  readonly limits: Limits;
  readonly parameters: Parameters;
  readonly tools: readonly ToolCard[];
  /** What the shop's own closed jobs add to the chances; nothing unless the shop has chosen so. */
  readonly counts: ShopCounts | undefined;
}

export async function shopContextOn(db: Executor): Promise<ShopContext> {
  const knowledge = shopKnowledge();
  const settings = await readSettings(db);
  const limits = resolveLimits(knowledge, settings.value.limits);
  if (!limits.ok)
    throw new Error(`stored limits do not fit: ${limits.issues.map(({ message }) => message).join(" ")}`);
  const counts = settings.value.usesCounts ? await shopCounts(db, knowledge, limits.value) : undefined;
  const parameters = parametersOf(knowledge.parameters);
  const tools = (await allTools()).map(cardOf);
  return { db, knowledge, settings, limits: limits.value, parameters, tools, counts };
}

export async function readShopContext(): Promise<ShopContext> {
  const { db } = await shopDatabase();
  return shopContextOn(db);
}
