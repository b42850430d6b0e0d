// Loaded before a writer: every time a file is brought to the disk, what it held then is laid aside under the same name.
import fs, {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readlinkSync,
  renameSync,
  statSync,
} from "node:fs";
import { syncBuiltinESMExports } from "node:module";
import { dirname, join } from "node:path";

const shadow = process.env["SYNCED_TO"] ?? "";

/** Under another name first: the process that is recorded is killed at any moment, in the middle of a copy too. */
function copied(path: string): void {
  const to = join(shadow, path);
  mkdirSync(dirname(to), { recursive: true });
  copyFileSync(path, `${to}.part`);
  renameSync(`${to}.part`, to);
}

/** A file as it was synced. A folder's sync makes its names last: a file that was synced under another name has this one now. */
function layAside(handle: number): void {
  const path = readlinkSync(`/proc/self/fd/${handle}`);
  if (!statSync(path).isDirectory()) {
    copied(path);
    return;
  }
  for (const entry of readdirSync(path, { withFileTypes: true }))
    if (entry.isFile() && !existsSync(join(shadow, path, entry.name))) copied(join(path, entry.name));
}

for (const name of ["fsyncSync", "fdatasyncSync"] as const) {
  const sync = fs[name];
  fs[name] = (handle: number): void => {
    sync(handle);
    layAside(handle);
  };
}
syncBuiltinESMExports();
