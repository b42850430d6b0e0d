// Tests copy a database of forty megabytes some two hundred times: in memory that is quick, on the disk it is what they wait for.
import { chmodSync, existsSync, mkdtempSync, rmSync, statfsSync } from "node:fs";

const IN_MEMORY = "/dev/shm";
const LEAST_BYTES = 4 * 1024 ** 3;

/** Folders that programs make for a while stand in memory from here on, where the machine has the room. */
export function scratchInMemory() {
  if (process.env.TMPDIR || !existsSync(IN_MEMORY)) return;
  const { bavail, bsize } = statfsSync(IN_MEMORY);
  if (bavail * bsize < LEAST_BYTES) return;
  const folder = mkdtempSync(`${IN_MEMORY}/spindle-`);
  // A PostgreSQL server in it runs as another user.
  chmodSync(folder, 0o755);
  process.env.TMPDIR = folder;
  process.once("exit", () => rmSync(folder, { recursive: true, force: true }));
}
