import type { Entry } from "@/core/job/log/entry";
import { ok, type Result } from "@/core/result";
import { writeJobArchive } from "@/server/backup/job-archive";
import { shopDatabase } from "@/server/db/shop-database";
import { entriesOf } from "@/server/repositories/entries";
import { noSuchJob } from "./record-entry";
import type { ShopContext } from "./shop-context";

/** A line as it travels: without what belongs to this shop alone. */
function travelling(entry: Entry): object {
  const { jobId: _, shown: __, ...line } = entry;
  return line.kind === "taken-in"
    ? { ...line, payload: { ...line.payload, ownerId: null, from: null } }
    : line;
}

/** One job as a file for another shop: its log and its pictures. The owner's name and contact stay here. */
export async function exportJob(jobId: number, { db, settings }: ShopContext): Promise<Result<Buffer>> {
  const entries = await entriesOf(db, jobId);
  if (entries.length === 0) return noSuchJob(jobId);
  const { pictures } = await shopDatabase();
  const kept = new Map<string, Uint8Array>();
  for (const entry of entries) {
    if (entry.kind !== "picture") continue;
    const bytes = await pictures.read(entry.payload.sha256, "whole");
    if (bytes) kept.set(entry.payload.sha256, bytes);
  }
  const from = { shop: settings.value.shopName, jobId };
  return ok(await writeJobArchive({ from, lines: entries.map(travelling), pictures: kept }));
}
