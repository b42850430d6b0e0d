import { existsSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";

/** What a file is called while it is written, until it is whole and gets its name. */
const ASIDE = /\.[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
/** Notices of who has the folder look alike, and are not written under another name. */
const NOTICE = /^in-use/;

/** Takes out files that were half written when a process ended. Whoever calls holds the folder's lock. */
export function sweepAsides(folder: string): void {
  const pictures = join(folder, "pictures");
  const below = existsSync(pictures) ? readdirSync(pictures).map((name) => join(pictures, name)) : [];
  for (const path of [folder, join(folder, "journal"), ...below]) {
    if (!existsSync(path)) continue;
    for (const one of readdirSync(path, { withFileTypes: true }))
      if (one.isFile() && ASIDE.test(one.name) && !NOTICE.test(one.name)) rmSync(join(path, one.name));
  }
}
