import { and, eq } from "drizzle-orm";
import { DEFAULT_SETTINGS, type Settings } from "@/core/shop/settings";
import { settingsSchema } from "@/core/shop/settings.input";
import { parseWith } from "@/core/validate";
import type { Executor } from "@/server/db/executor";
import { settings } from "@/server/db/schema";

export interface StoredSettings {
  readonly value: Settings;
  readonly version: number;
}

/** The shop's settings; version 0 while nothing was ever set. */
export async function readSettings(on: Executor): Promise<StoredSettings> {
  const row = (await on.select().from(settings).where(eq(settings.id, 1)))[0];
  if (!row) return { value: DEFAULT_SETTINGS, version: 0 };
  // A setting that came with a later version has its default until it is set.
  const parsed = parseWith(settingsSchema, { ...DEFAULT_SETTINGS, ...(row.value as object) });
  if (!parsed.ok)
    throw new Error(`stored settings do not fit: ${parsed.issues.map(({ message }) => message).join(" ")}`);
  return { value: parsed.value as Settings, version: row.version };
}

/** @returns false when someone else changed them since `version`. */
export async function writeSettings(
  on: Executor,
  value: Settings,
  version: number,
  changedAt: string,
): Promise<boolean> {
  if (version === 0) {
    const made = await on
      .insert(settings)
      .values({ id: 1, value, version: 1, changedAt })
      .onConflictDoNothing()
      .returning();
    return made.length === 1;
  }
  const changed = await on
    .update(settings)
    .set({ value, version: version + 1, changedAt })
    .where(and(eq(settings.id, 1), eq(settings.version, version)))
    .returning({ id: settings.id });
  return changed.length === 1;
}
