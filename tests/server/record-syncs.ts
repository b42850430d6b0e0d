// Loaded before a writer: every time a file is brought to the disk, what it held then is laid aside under the same name.
import fs, { copyFileSync, mkdirSync, readlinkSync, statSync } from "node:fs";
import { syncBuiltinESMExports } from "node:module";
import { dirname, join } from "node:path";

const shadow = process.env["SYNCED_TO"] ?? "";

/** A file as it was synced; of a folder only its name can be synced, and that is there already. */
function layAside(handle: number): void {
  const path = readlinkSync(`/proc/self/fd/${handle}`);
  if (statSync(path).isDirectory()) return;
  mkdirSync(dirname(join(shadow, path)), { recursive: true });
  copyFileSync(path, join(shadow, path), fs.constants.COPYFILE_FICLONE);
}

for (const name of ["fsyncSync", "fdatasyncSync"] as const) {
  const sync = fs[name];
  fs[name] = (handle: number): void => {
    sync(handle);
    layAside(handle);
  };
}
syncBuiltinESMExports();
