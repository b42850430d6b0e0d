import { closeSync, fsyncSync, openSync } from "node:fs";

/** Windows syncs no folder, and a file only where it is open to be written. */
const IS_WINDOWS = process.platform === "win32";

/** Brings a file to the disk. */
export function syncFile(path: string): void {
  sync(path, IS_WINDOWS ? "r+" : "r");
}

/** Brings the names in a folder to the disk; where the system has no such thing, it does so by itself. */
export function syncFolder(path: string): void {
  if (!IS_WINDOWS) sync(path, "r");
}

function sync(path: string, how: "r" | "r+"): void {
  const handle = openSync(path, how);
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
