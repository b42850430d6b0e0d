import { randomUUID } from "node:crypto";
import type { Entry, NewEntry } from "@/core/job/log/entry";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Origin } from "@/server/backup/job-archive";
import type { JobFile, Line } from "@/server/backup/job-file";
import { contentHash } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import { viewOf } from "@/server/queries/view-of";
import { appendEntries, appendEntry, jobOfAny } from "@/server/repositories/entries";
import { createJob } from "@/server/repositories/jobs";
import { announce } from "./changes";
import { keepFacts } from "./job-facts";
import { jobFileOffThread } from "./job-file-thread";
import { keepPicture } from "./keep-picture";
import type { ShopContext } from "./shop-context";

const refused = (message: string): Result<never> => fail(issue("file", "archive/line", message));

/** Pictures are drawn anew, as any picture from outside is. @returns their own hashes by the ones that the lines name */
async function keepPictures(
  lines: readonly Line[],
  pictures: JobFile["pictures"],
  now: string,
  db: Executor,
): Promise<Result<ReadonlyMap<string, Awaited<ReturnType<typeof keepPicture>>>>> {
  const kept = new Map<string, Awaited<ReturnType<typeof keepPicture>>>();
  for (const { entry, seq } of lines) {
    if (entry.kind !== "picture" || kept.has(entry.payload.sha256)) continue;
    const bytes = pictures.get(entry.payload.sha256);
    // One whose file was gone at the other shop, too: its line stays, and says which picture it was.
    if (!bytes) continue;
    const picture = await keepPicture(bytes, now, db);
    if (!picture.ok)
      return refused(`The picture of line ${seq} is not taken: ${picture.issues[0]?.message ?? ""}`);
    kept.set(entry.payload.sha256, picture);
  }
  return ok(kept);
}

/** What belonged to the other shop is left there; what was drawn anew goes by its new name. */
function atHome(
  entry: NewEntry,
  pictures: ReadonlyMap<string, Awaited<ReturnType<typeof keepPicture>>>,
): NewEntry {
  if (entry.kind === "taken-in")
    return { ...entry, payload: { ...entry.payload, ownerId: null, from: null } };
  if (entry.kind !== "picture") return entry;
  const kept = pictures.get(entry.payload.sha256);
  return kept?.ok ? { ...entry, payload: { ...entry.payload, ...kept.value } } : entry;
}

async function write(
  tx: Executor,
  lines: readonly Line[],
  entries: readonly NewEntry[],
  from: Origin,
  who: { readonly by: string; readonly now: string },
  shopContext: ShopContext,
): Promise<number> {
  const { by, now } = who;
  const jobId = await createJob(tx, now, by);
  const brought = lines.map((line, index) => {
    const { entryId, seq, stage, knowledgeVersion, settingsVersion, at } = line;
    const place = { entryId, jobId, seq, stage, shown: null, knowledgeVersion, settingsVersion, at };
    const entry = entries[index] as NewEntry;
    return { place: { ...place, by: line.by, postedHash: contentHash(line) }, entry };
  });
  const log: Entry[] = await appendEntries(tx, brought);
  const reducing = { ...shopContext.knowledge, limits: shopContext.limits };
  const isOpen = viewOf(jobId, log, reducing).signedOff === null;
  const words = `Came from ${from.shop || "another shop"}, where it was job ${from.jobId}. What is written above was written there.`;
  const own: readonly NewEntry[] = [
    // Whatever was known of plug and charge was known elsewhere, and what was tested there has travelled since.
    { kind: "bench-state", payload: { event: "not-known" } },
    ...(isOpen ? [{ kind: "reopened" as const, payload: { why: "It came from another shop." } }] : []),
    { kind: "note", payload: { text: words } },
  ];
  for (const entry of own) {
    const place = {
      entryId: randomUUID(),
      jobId,
      seq: log.length + 1,
      stage: "take-in" as const,
      shown: null,
      knowledgeVersion: shopContext.knowledge.version,
      settingsVersion: shopContext.settings.version,
      at: now,
      by,
      postedHash: contentHash(entry),
    };
    log.push(await appendEntry(tx, place, entry));
  }
  await keepFacts(tx, viewOf(jobId, log, reducing), shopContext);
  return jobId;
}

class Here extends Error {
  constructor(readonly jobId: number) {
    super("the job is here already");
  }
}

function isHere(jobId: number): Result<never> {
  return fail(
    issue("file", "stale/job-here", `Lines of this job are here already: it is job ${jobId}.`, jobId),
  );
}

/**
 * A job that another shop exported becomes a job here: under a number of its own, every line as it was written there, and
 * where it came from. The same file again is refused.
 */
export async function importJob(
  bytes: Uint8Array,
  by: string,
  now: string,
  shopContext: ShopContext,
): Promise<Result<{ readonly jobId: number }>> {
  const file = await jobFileOffThread(bytes, now);
  if (!file.ok) return file;
  const { from, lines } = file.value;
  const ids = lines.map(({ entryId }) => entryId);
  const before = await jobOfAny(shopContext.db, ids);
  if (before !== undefined) return isHere(before);
  const pictures = await keepPictures(lines, file.value.pictures, now, shopContext.db);
  if (!pictures.ok) return pictures;
  const entries = lines.map(({ entry }) => atHome(entry, pictures.value));
  try {
    const jobId = await shopContext.db.transaction(async (tx) => {
      const meanwhile = await jobOfAny(tx, ids);
      if (meanwhile !== undefined) throw new Here(meanwhile);
      return write(tx, lines, entries, from, { by, now }, shopContext);
    });
    announce({ jobId, seq: lines.length });
    return ok({ jobId });
  } catch (error) {
    if (!(error instanceof Here)) throw error;
    return isHere(error.jobId);
  }
}
