import { ok } from "@/core/result";
import { backUpNow, backupFolder, listBackups } from "@/server/backup/backups";
import { endpoint } from "@/server/http/endpoint";
import { undertake, undertaking } from "@/server/services/undertaking";

const stateNow = () => ok({ folder: backupFolder(), backups: listBackups(), work: undertaking() });

/** Every backup that was read back whole after it was written, newest first. */
export const GET = endpoint("GET /api/backups", { handle: async () => stateNow() });

/** Long enough for the backup of a small shop: of a large one `work` tells. */
const WAIT_MS = 10_000;

export const POST = endpoint("POST /api/backups", {
  handle: async () => {
    const now = new Date();
    const begun = undertake("backup", now, async () => {
      const made = await backUpNow(now);
      return made.ok ? ok(null) : made;
    });
    if (!begun.ok) return begun;
    await Promise.race([begun.value.over, new Promise((resolve) => setTimeout(resolve, WAIT_MS))]);
    return stateNow();
  },
});
