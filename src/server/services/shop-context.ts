import type { ShopCounts } from "@/core/isolation/shop-counts";
import { type Parameters, parametersOf } from "@/core/knowledge/parameters";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import type { Knowledge, Limits } from "@/core/knowledge/types";
import { cardOf, type ToolCard } from "@/core/tools/tool";
import type { Executor } from "@/server/db/executor";
import { shopDatabase } from "@/server/db/shop-database";
import { readCounts } from "@/server/queries/shop-counts";
import { type ReadSettings, settingsFrom, settingsRow } from "@/server/repositories/settings";
import { allTools } from "@/tools/registry";
import { shopKnowledge } from "./knowledge";

/** What every service stands on. */
export interface ShopContext {
  readonly db: Executor;
  readonly knowledge: Knowledge;
  readonly settings: ReadSettings;
  readonly limits: Limits;
  readonly parameters: Parameters;
  readonly tools: readonly ToolCard[];
  /** What the shop's own closed jobs add to the chances; nothing unless the shop has chosen so. */
  readonly counts: ShopCounts | undefined;
}

/** Limits of the shop's own that do not fit the knowledge any more give way to the shipped ones, and Set-up says so. */
function withLimits(
  knowledge: Knowledge,
  read: ReadSettings,
): { readonly limits: Limits; readonly settings: ReadSettings } {
  const own = resolveLimits(knowledge, read.value.limits);
  if (own.ok) return { limits: own.value, settings: read };
  const shipped = resolveLimits(knowledge, {});
  if (!shipped.ok) throw new Error(shipped.issues.map(({ message }) => message).join(" "));
  const unreadable = [...new Set([...read.unreadable, "limits"])];
  return { limits: shipped.value, settings: { ...read, unreadable } };
}

type Settled = Omit<ShopContext, "db" | "counts">;

async function settle(row: Awaited<ReturnType<typeof settingsRow>>): Promise<Settled> {
  const knowledge = shopKnowledge();
  const { limits, settings } = withLimits(knowledge, settingsFrom(row));
  const parameters = parametersOf(knowledge.parameters);
  const tools = (await allTools()).map(cardOf);
  return { knowledge, settings, limits, parameters, tools };
}

/** What follows from the settings, worked out once for as long as they stand as they are. */
let last: { readonly from: string; readonly settled: Settled } | undefined;

export async function shopContextOn(db: Executor): Promise<ShopContext> {
  const row = await settingsRow(db);
  const from = JSON.stringify(row ?? null);
  if (last?.from !== from) last = { from, settled: await settle(row) };
  const { settled } = last;
  const counts = settled.settings.value.usesCounts ? await readCounts(db) : undefined;
  return { db, ...settled, counts };
}

export async function readShopContext(): Promise<ShopContext> {
  const { db } = await shopDatabase();
  return shopContextOn(db);
}
