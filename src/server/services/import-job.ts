import { randomUUID } from "node:crypto";
import type { Entry, NewEntry } from "@/core/job/log/entry";
import { fail, issue, ok, type Result } from "@/core/result";
import { parseWith, type Shape } from "@/core/validate";
import { keptLineSchema } from "@/log/kept-line.input";
import { readLine } from "@/log/read-payload";
import { type JobArchive, type Origin, readJobArchive } from "@/server/backup/job-archive";
import { contentHash } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import { viewOf } from "@/server/queries/view-of";
import { appendEntry, jobOfAny } from "@/server/repositories/entries";
import { createJob } from "@/server/repositories/jobs";
import { announce } from "./changes";
import { keepFacts } from "./job-facts";
import { keepPicture } from "./keep-picture";
import type { ShopContext } from "./shop-context";

const MOST_LINES = 20_000;

interface Line extends Shape<typeof keptLineSchema> {
  readonly entry: NewEntry;
}

const refused = (message: string): Result<never> => fail(issue("file", "archive/line", message));

/** A line that this shop's own schemas take, exactly as one that is posted; whatever else it says, it says it of another shop. */
function readOne(given: unknown, index: number, now: string): Result<Line> {
  const parsed = parseWith(keptLineSchema, given);
  const place = `Line ${index + 1} of the file`;
  if (!parsed.ok) return refused(`${place} cannot be read: ${parsed.issues[0]?.message ?? ""}`);
  const { seq, kind, payload, kindVersion, at } = parsed.value;
  if (seq !== index + 1) return refused(`${place} is numbered ${seq}: a line is missing or stands twice.`);
  if (at > now) return refused(`${place} is of ${at}, which is still to come: set the clocks right.`);
  const entry = readLine(kind, payload, kindVersion);
  if (entry.kind === "unreadable") return refused(`${place} (${kind}) cannot be read: ${entry.payload.why}`);
  if (index === 0 && kind !== "taken-in")
    return refused(`${place} is "${kind}": a job begins with how it was taken in.`);
  return ok({ ...parsed.value, entry } as Line);
}

function readLines({ lines }: JobArchive, now: string): Result<readonly Line[]> {
  if (lines.length === 0 || lines.length > MOST_LINES)
    return refused(`The file holds ${lines.length} lines: a job has 1 to ${MOST_LINES}.`);
  const read: Line[] = [];
  for (const [index, given] of lines.entries()) {
    const line = readOne(given, index, now);
    if (!line.ok) return line;
    read.push(line.value);
  }
  const ids = new Set(read.map(({ entryId }) => entryId.toLowerCase()));
  return ids.size === read.length
    ? ok(read)
    : refused("Two lines of the file have one id: export the job again.");
}

/** Pictures are drawn anew, as any picture from outside is. @returns their own hashes by the ones that the lines name */
async function keepPictures(
  lines: readonly Line[],
  { pictures }: JobArchive,
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
  const log: Entry[] = [];
  for (const [index, line] of lines.entries()) {
    const { entryId, seq, stage, knowledgeVersion, settingsVersion, at } = line;
    const entry = entries[index] as NewEntry;
    const place = {
      entryId,
      jobId,
      seq,
      stage,
      shown: null,
      knowledgeVersion,
      settingsVersion,
      at,
      by: line.by,
    };
    log.push(await appendEntry(tx, { ...place, postedHash: contentHash(line) }, entry));
  }
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
  const archive = await readJobArchive(bytes);
  if (!archive.ok) return archive;
  const lines = readLines(archive.value, now);
  if (!lines.ok) return lines;
  const ids = lines.value.map(({ entryId }) => entryId);
  const before = await jobOfAny(shopContext.db, ids);
  if (before !== undefined) return isHere(before);
  const pictures = await keepPictures(lines.value, archive.value, now, shopContext.db);
  if (!pictures.ok) return pictures;
  const entries = lines.value.map(({ entry }) => atHome(entry, pictures.value));
  try {
    const jobId = await shopContext.db.transaction(async (tx) => {
      const meanwhile = await jobOfAny(tx, ids);
      if (meanwhile !== undefined) throw new Here(meanwhile);
      return write(tx, lines.value, entries, archive.value.from, { by, now }, shopContext);
    });
    announce({ jobId, seq: lines.value.length });
    return ok({ jobId });
  } catch (error) {
    if (!(error instanceof Here)) throw error;
    return isHere(error.jobId);
  }
}
