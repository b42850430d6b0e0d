import { rmSync } from "node:fs";
import { join } from "node:path";
import { fail, issue, ok, type Result } from "@/core/result";
import { openFolder } from "@/server/db/connect";
import type { Executor } from "@/server/db/executor";
import { dataFolder, reopenDatabase, shopDatabase } from "@/server/db/shop-database";
import { planSwitch, restoredFolder } from "@/server/db/switch-shop";
import { backupFolder, listBackups } from "./backups";
import { restoreArchive } from "./restore";

/**
 * Puts the shop back to one of its backups: built beside, read back, and only then switched. The shop that stood here goes
 * aside whole, what was kept since the backup with it.
 * @param ready what a shop owes before anybody is served
 * @returns the folder of the shop that stood here
 */
export async function putShopBack(
  name: string,
  now: Date,
  ready: (db: Executor, folder: string) => Promise<void>,
): Promise<Result<string>> {
  const { engine } = await shopDatabase();
  if (engine === "server")
    return fail(
      issue(
        "name",
        "guard/server",
        "This shop lives on a PostgreSQL server: put it back with the server's own tools.",
      ),
    );
  const backup = listBackups().find((one) => one.name === name);
  if (!backup) return fail(issue("name", "not-found/backup", "There is no such backup.", name));
  const folder = dataFolder();
  const to = restoredFolder(folder);
  rmSync(to, { recursive: true, force: true });
  const restored = await restoreArchive(join(backupFolder(), backup.name), to);
  if (!restored.ok) return restored;
  const shop = await openFolder(to, `process ${process.pid} (restoring)`);
  try {
    await ready(shop.db, to);
    await shop.written();
  } finally {
    await shop.close();
  }
  const aside = `before-restore-${now.toISOString().slice(0, 19).replaceAll(":", "-")}Z`;
  planSwitch(folder, aside);
  await reopenDatabase();
  return ok(join(folder, aside));
}
