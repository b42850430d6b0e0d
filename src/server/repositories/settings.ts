import { and, eq } from "drizzle-orm";
import { DEFAULT_SETTINGS, type Settings } from "@/core/shop/settings";
import { settingsSchema } from "@/core/shop/settings.input";
import { parseWith } from "@/core/validate";
import type { Executor } from "@/server/db/executor";
import { settings } from "@/server/db/schema";
import type { StoredSettings } from "@/wire/shop";

/** As they were read back. */
export interface ReadSettings extends StoredSettings {
  /** Names of settings that could not be read: they stand at their defaults. */
  readonly unreadable: readonly string[];
}

/** Each setting that can be read, and the default of each that cannot. */
function salvage(kept: object): Pick<ReadSettings, "value" | "unreadable"> {
  const given = { ...DEFAULT_SETTINGS, ...kept };
  const parsed = parseWith(settingsSchema, given);
  if (parsed.ok) return { value: parsed.value, unreadable: [] };
  const bad = new Set(parsed.issues.map(({ path }) => path.split(".")[0] ?? ""));
  const fine = Object.entries(given).filter(([key]) => Object.hasOwn(DEFAULT_SETTINGS, key) && !bad.has(key));
  const again = parseWith(settingsSchema, { ...DEFAULT_SETTINGS, ...Object.fromEntries(fine) });
  return again.ok
    ? { value: again.value, unreadable: [...bad] }
    : { value: DEFAULT_SETTINGS, unreadable: Object.keys(DEFAULT_SETTINGS) };
}

type Row = typeof settings.$inferSelect;

/** The shop's settings as they are kept; undefined while nothing was ever set. */
export async function settingsRow(on: Executor): Promise<Row | undefined> {
  return (await on.select().from(settings).where(eq(settings.id, 1)))[0];
}

export async function readSettings(on: Executor): Promise<ReadSettings> {
  return settingsFrom(await settingsRow(on));
}

/** The shop's settings; version 0 while nothing was ever set. What cannot be read takes nothing else down. */
export function settingsFrom(row: Row | undefined): ReadSettings {
  if (!row) return { value: DEFAULT_SETTINGS, version: 0, unreadable: [] };
  // A setting that came with a later version has its default until it is set.
  const kept = typeof row.value === "object" && row.value !== null ? row.value : {};
  return { ...salvage(kept), version: row.version };
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
