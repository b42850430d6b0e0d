import { resolveLimits } from "@/core/knowledge/resolve-limits";
import type { Knowledge, Limits } from "@/core/knowledge/types";
import type { Executor } from "@/server/db/executor";
import { shopDatabase } from "@/server/db/shop-database";
import { readSettings, type StoredSettings } from "@/server/repositories/settings";
import { shopKnowledge } from "./knowledge";

/** What every service stands on. */
export interface Ground {
  readonly db: Executor;
  readonly knowledge: Knowledge;
  readonly settings: StoredSettings;
  readonly limits: Limits;
}

export async function groundOn(db: Executor): Promise<Ground> {
  const knowledge = shopKnowledge();
  const settings = await readSettings(db);
  const limits = resolveLimits(knowledge, settings.value.limits);
  if (!limits.ok)
    throw new Error(`stored limits do not fit: ${limits.issues.map(({ message }) => message).join(" ")}`);
  return { db, knowledge, settings, limits: limits.value };
}

export async function shopGround(): Promise<Ground> {
  const { db } = await shopDatabase();
  return groundOn(db);
}
