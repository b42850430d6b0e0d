import { TERN_QUAY } from "@/demo/shop";
import { backUpBeforeUpgrade, backUpByNight } from "@/server/backup/backups";
import type { OpenDatabase } from "@/server/db/connect";
import type { Executor } from "@/server/db/executor";
import { FolderTrouble } from "@/server/db/folder";
import { FolderInUse } from "@/server/db/lock";
import { dataFolder, shopDatabase } from "@/server/db/shop-database";
import { countJobs } from "@/server/queries/jobs";
import { needsAccess, sessionKey } from "./access";
import { hearOthers } from "./changes";
import { doubtPlugs } from "./doubt-plugs";
import { readyFacts, renewFacts } from "./rebuild-facts";
import { lastOpening, seedDemo } from "./seed-demo";
import { readShopContext, shopContextOn } from "./shop-context";

/** How the shop stands that this process serves. */
export interface ShopHealth {
  readonly engine: string;
  readonly jobs: number;
}

let started: Promise<OpenDatabase> | undefined;

function anchorDate(): Date {
  const given = process.env["GOOD_SPINDLE_ANCHOR"];
  return given ? new Date(given) : lastOpening(new Date(), TERN_QUAY.zone);
}

/** A folder that cannot be used ends this process with one sentence and an exit code of its own. */
async function openOrEnd(): Promise<OpenDatabase> {
  try {
    const database = await shopDatabase(backUpBeforeUpgrade);
    // What lets people in is made, or found readable, before anybody knocks.
    if (needsAccess()) sessionKey();
    return database;
  } catch (error) {
    const isKnown = error instanceof FolderInUse || error instanceof FolderTrouble;
    console.error(isKnown ? error.message : `The database does not open: ${String(error)}`);
    process.exit(isKnown ? error.exitCode : 1);
  }
}

/** What a database that was just opened owes before anybody is served. */
export async function bringToLife(db: Executor, folder: string): Promise<void> {
  const shopContext = await shopContextOn(db);
  await readyFacts(shopContext);
  await doubtPlugs(folder, shopContext, new Date().toISOString());
}

async function start(): Promise<OpenDatabase> {
  const database = await openOrEnd();
  const { db } = database;
  hearOthers(database);
  const shopContext = await shopContextOn(db);
  // Seeded once: a shop that has set anything, or has a job, is never touched.
  const isUntouched = shopContext.settings.version === 0 && (await countJobs(db)) === 0;
  if (isUntouched && process.env["GOOD_SPINDLE_SEED"] === "demo") await seedDemo(shopContext, anchorDate());
  backUpByNight(async () => (await readShopContext()).settings.value.zone);
  await bringToLife(db, dataFolder());
  // A server that is stopped meanwhile leaves the rest to the next start.
  void renewFacts(await shopContextOn(db)).catch((error) =>
    console.error(
      `Some jobs were not worked out anew, the next start goes on with them (${error instanceof Error ? error.name : "error"}).`,
    ),
  );
  return database;
}

/** Opens, migrates and, on request, seeds; once in the life of the process. */
export function startShop(): Promise<unknown> {
  started ??= start();
  return started;
}

/** Asked of the database each time: one that went down since is not ready. */
export async function shopHealth(): Promise<ShopHealth> {
  await startShop();
  const { db, engine } = await shopDatabase();
  return { engine, jobs: await countJobs(db) };
}
