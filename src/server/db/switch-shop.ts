import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import { EXIT, FolderTrouble, syncTree, writeSynced } from "./folder";
import { syncFolder } from "./sync-path";

/** What a shop consists of, below its data folder. Backups and what lets people in are not part of it. */
const PARTS = ["postgres", "journal", "pictures", "folder.json", "put-back.json"] as const;
const PLAN = "switch.json";

interface Plan {
  /** Where the shop that stood here goes. */
  readonly aside: string;
  /** Parts that the other shop has. */
  readonly parts: readonly string[];
}

/** A name below the folder, and no way out of it. */
const ASIDE = /^before-restore[\dTZ-]*$/;

/** @throws {FolderTrouble} where the plan is not as one of ours is: nothing is moved by it */
function readPlan(path: string): Plan {
  try {
    const { aside, parts }: Partial<Plan> = JSON.parse(readFileSync(path, "utf8"));
    if (typeof aside === "string" && ASIDE.test(aside) && Array.isArray(parts))
      if (parts.every((part) => PARTS.some((one) => one === part))) return { aside, parts };
  } catch {
    // Told below, whatever is the matter with it.
  }
  throw new FolderTrouble(
    EXIT.damaged,
    `${path} cannot be read. It says how a put-back was to go to its end: some of the shop may lie in a folder before-restore-… already. Nothing was changed. Put a backup back into a new folder (npm run restore), or put the file elsewhere to start with what lies here.`,
  );
}

/** Below the data folder, where a shop is put together before it takes the place of the one that stands there. */
export const restoredFolder = (folder: string): string => join(folder, "restored");

/** Writes down that the shop below `restored` is to take the place of the one that stands there: from now on it will. */
export function planSwitch(folder: string, aside: string): void {
  const parts = PARTS.filter((part) => existsSync(join(restoredFolder(folder), part)));
  writeSynced(join(folder, PLAN), JSON.stringify({ aside, parts } satisfies Plan));
}

/**
 * Carries a planned switch out, or to its end where it was cut off: each part of the old shop goes aside, then the new one
 * takes its place. Whoever calls holds the folder's lock, and no database is open.
 */
export function finishSwitch(folder: string): void {
  const path = join(folder, PLAN);
  if (!existsSync(path)) return;
  const { aside, parts } = readPlan(path);
  mkdirSync(join(folder, aside), { recursive: true, mode: 0o700 });
  for (const part of PARTS) {
    const [here, there, from] = [
      join(folder, part),
      join(folder, aside, part),
      join(restoredFolder(folder), part),
    ];
    const isSwitched = parts.includes(part) && !existsSync(from);
    if (!isSwitched && existsSync(here) && !existsSync(there)) renameSync(here, there);
    if (existsSync(from)) renameSync(from, here);
  }
  syncTree(join(folder, aside));
  syncFolder(folder);
  rmSync(restoredFolder(folder), { recursive: true, force: true });
  rmSync(path);
  syncFolder(folder);
}
