import type { Entry } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { dayIn } from "@/core/quantity/format";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Watch } from "@/core/safety/plug-watch";
import { isOutletNamed } from "@/core/shop/settings";
import { guardEntry } from "@/log/guards";
import { keepable } from "@/log/read-payload";
import { contentHash } from "@/server/db/content-hash";
import type { Executor } from "@/server/db/executor";
import { viewOf } from "@/server/queries/view-of";
import { appendEntry, entryById, lineAt } from "@/server/repositories/entries";
import { lockJob } from "@/server/repositories/jobs";
import { committedLog, wholeLog } from "@/server/repositories/known-logs";
import { announce } from "./changes";
import { completeEntry, type Draft } from "./complete-entry";
import { servicesOn } from "./completion-services";
import { keepFacts } from "./job-facts";
import { moveForLine } from "./job-stock";
import type { ShopContext } from "./shop-context";

/** Body of POST /api/jobs/{id}/entries, after it was parsed. */
export type EntryDraft = Draft & {
  readonly entryId: string;
  readonly expectedSeq: number;
  readonly stage: Entry["stage"];
  readonly by: string;
  readonly shown?: unknown;
  readonly watch?: Watch | undefined;
};

function viewIn(jobId: number, entries: readonly Entry[], shopContext: ShopContext): JobView {
  return viewOf(jobId, entries, { ...shopContext.knowledge, limits: shopContext.limits });
}

/**
 * These name the very line they are about, or none at all: two devices may write them at once, and the guard alone says
 * whether the second one still means something.
 */
const NAMES_ITS_LINE: ReadonlySet<Entry["kind"]> = new Set(["refitted", "pinned", "picture", "followed-up"]);

export function noSuchJob(jobId: number | string) {
  return fail(issue("id", "not-found/job", `There is no job ${jobId}.`, jobId));
}

function stale(jobId: number, entries: readonly Entry[], draft: EntryDraft) {
  const since = entries.filter(({ seq }) => seq > draft.expectedSeq);
  const told = since.map(({ seq, kind, by }) => `line ${seq} (${kind}) by ${by}`).join(", ");
  const message =
    since.length > 0
      ? `Job ${jobId} went on while you typed: ${told}. What you typed is kept: look, then keep it again.`
      : `Job ${jobId} has ${entries.length} lines, not ${draft.expectedSeq}: load it again.`;
  return fail(issue("expectedSeq", "stale/sequence", message, draft.expectedSeq));
}

/** What a repeat must have in common with the first: all but what the screen had seen by then. */
function hashOf({ kind, stage, by, payload }: EntryDraft): string {
  return contentHash({ kind, stage, by, payload });
}

/** The answer to a request that was sent twice: what the first one did. */
async function repeated(
  on: Executor,
  jobId: number,
  draft: EntryDraft,
  postedHash: string,
  shopContext: ShopContext,
): Promise<Result<JobView> | undefined> {
  const known = await entryById(on, draft.entryId);
  if (!known) return undefined;
  const isOther = known.postedHash !== null && known.postedHash !== postedHash;
  if (known.jobId !== jobId || known.kind !== draft.kind || isOther)
    return fail(
      issue(
        "entryId",
        "stale/entry-id",
        `entryId ${draft.entryId} was used for another entry: make a new one.`,
        draft.entryId,
      ),
    );
  return ok(viewIn(jobId, await wholeLog(shopContext.db, jobId, on), shopContext));
}

/** Kinds that may take a second or more to work out: the job is not locked, nor a connection held, meanwhile. */
const REASONED: ReadonlySet<Entry["kind"]> = new Set<Entry["kind"]>(["decision", "reading"]);

/** An entry completed from the log that its poster saw; nothing where that log is not the one that stands now. */
async function completedAhead(jobId: number, draft: EntryDraft, now: string, shopContext: ShopContext) {
  const entries = await committedLog(shopContext.db, jobId);
  if (entries.length === 0 || entries.length !== draft.expectedSeq) return undefined;
  const view = viewIn(jobId, entries, shopContext);
  const services = servicesOn(shopContext.db, shopContext);
  return completeEntry(draft, { view, now, shop: shopContext, services });
}

/**
 * Appends one entry to a job's log: completed, guarded, in one transaction.
 * The same `entryId` again changes nothing and answers as the first time did.
 */
export async function recordEntry(
  jobId: number,
  draft: EntryDraft,
  now: string,
  shopContext: ShopContext,
): Promise<Result<JobView>> {
  const isReasoned = REASONED.has(draft.kind);
  const ahead = isReasoned ? await completedAhead(jobId, draft, now, shopContext) : undefined;
  const within: Within = { ahead, isAlone: true, isStaleUnlessAhead: isReasoned };
  const kept = await shopContext.db.transaction((tx) =>
    recordWithin(tx, jobId, draft, now, shopContext, within),
  );
  if (kept.ok) announce({ jobId, seq: kept.value.seq });
  return kept;
}

interface Within {
  /** Hash of the whole request, where the entry is only a part of it. */
  readonly postedHash?: string;
  /** What the entry was completed to before the job was locked. */
  readonly ahead?: Awaited<ReturnType<typeof completeEntry>> | undefined;
  /** Nothing else is written in this transaction. */
  readonly isAlone?: boolean;
  /** It is not worked out here: a log that was another one while it could be is stale, though it is the right one now. */
  readonly isStaleUnlessAhead?: boolean;
}

/** The same, inside a transaction that the caller has open. */
export async function recordWithin(
  tx: Executor,
  jobId: number,
  draft: EntryDraft,
  now: string,
  shopContext: ShopContext,
  { postedHash = hashOf(draft), ahead, isAlone = false, isStaleUnlessAhead = false }: Within = {},
): Promise<Result<JobView>> {
  if (!(await lockJob(tx, jobId))) return noSuchJob(jobId);
  const before = await repeated(tx, jobId, draft, postedHash, shopContext);
  if (before) return before;
  const entries = await (isAlone ? committedLog : wholeLog)(shopContext.db, jobId, tx);
  const isBehind = entries.length !== draft.expectedSeq;
  if (isBehind && !(NAMES_ITS_LINE.has(draft.kind) && entries.length > draft.expectedSeq))
    return stale(jobId, entries, draft);
  if (isStaleUnlessAhead && !ahead) return stale(jobId, entries, draft);
  const view = viewIn(jobId, entries, shopContext);
  const services = servicesOn(tx, shopContext);
  const completed = ahead ?? (await completeEntry(draft, { view, now, shop: shopContext, services }));
  if (!completed.ok) return completed;
  const { need, power } = completed.value;
  const kept = keepable(completed.value.entry);
  if (!kept.ok) return kept;
  const entry = kept.value;
  const { watch, by } = draft;
  const today = dayIn(now, shopContext.settings.value.zone);
  const refused = guardEntry(view, entries, entry, {
    by,
    now,
    watch,
    need,
    power,
    live: {
      deadChecks: shopContext.knowledge.deadChecks,
      isOutletNamed: isOutletNamed(shopContext.settings.value),
    },
    limits: shopContext.limits,
    today,
  });
  if (refused.length > 0) return fail(...refused);
  const place = {
    entryId: draft.entryId,
    jobId,
    seq: entries.length + 1,
    stage: draft.stage,
    shown: draft.shown ?? null,
    knowledgeVersion: shopContext.knowledge.version,
    settingsVersion: shopContext.settings.version,
    at: now,
    by,
    postedHash,
  };
  const stocked = await moveForLine(tx, entries, lineAt(place, entry), shopContext);
  if (!stocked.ok) return stocked;
  const appended = await appendEntry(tx, place, entry);
  const then = viewIn(jobId, [...entries, appended], shopContext);
  await keepFacts(tx, then, shopContext, view);
  return ok(then);
}
