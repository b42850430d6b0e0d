import { randomUUID } from "node:crypto";
import { existsSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { Standing } from "@/core/job/standing";
import { PUT_BACK } from "@/server/backup/restore";
import { benchPage, readCursor } from "./bench";
import { recordEntry } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** Who stands by the lines that a restore adds. */
const BY = "restore";

function isDoubted({ bench }: Standing): boolean {
  const isAnyHeld = bench.held.some(({ is }) => is === "held");
  return bench.plug === "not-known" && bench.battery === undefined && bench.stored.length === 0 && !isAnyHeld;
}

/**
 * A shop that was put back from a backup tells of plugs and charge as they were then, and a screen that is still open may
 * believe it: of every machine that is here, and of which anything was known, nothing is known any more, and its log
 * says so.
 */
export async function doubtPlugs(folder: string, shopContext: ShopContext, now: string): Promise<void> {
  const marker = join(folder, PUT_BACK);
  if (!existsSync(marker)) return;
  for (let after: string | null = ""; after !== null; ) {
    const page: Awaited<ReturnType<typeof benchPage>> = await benchPage(
      { list: "here", after: readCursor(after) },
      shopContext,
    );
    for (const { standing } of page.jobs) {
      if (isDoubted(standing)) continue;
      const draft = {
        entryId: randomUUID(),
        expectedSeq: standing.seq,
        kind: "bench-state",
        stage: "make-safe",
        by: BY,
        payload: { event: "not-known" },
      } as const;
      const kept = await recordEntry(standing.jobId, draft, now, shopContext);
      if (!kept.ok) throw new Error(kept.issues.map(({ message }) => message).join(" "));
    }
    after = page.next;
  }
  rmSync(marker);
}
