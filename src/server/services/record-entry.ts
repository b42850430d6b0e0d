import type { Entry } from "@/core/job/log/entry";
import { type JobView, reduceJob } from "@/core/job/log/reduce";
import { dayIn } from "@/core/quantity/format";
import { fail, issue, ok, type Result } from "@/core/result";
import type { Watch } from "@/core/safety/bench-state";
import { guardEntry } from "@/log/guards";
import type { Executor } from "@/server/db/executor";
import { appendEntry, entriesOf, entryById } from "@/server/repositories/entries";
import { lockJob } from "@/server/repositories/jobs";
import { announce } from "./changes";
import { completeEntry, type Draft } from "./complete-entry";
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

function viewOf(jobId: number, entries: readonly Entry[], shopContext: ShopContext): JobView {
  return reduceJob(jobId, entries, { ...shopContext.knowledge, limits: shopContext.limits });
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

/** The answer to a request that was sent twice: what the first one did. */
async function repeated(
  on: Executor,
  jobId: number,
  draft: EntryDraft,
  shopContext: ShopContext,
): Promise<Result<JobView> | undefined> {
  const known = await entryById(on, draft.entryId);
  if (!known) return undefined;
  if (known.jobId !== jobId || known.kind !== draft.kind)
    return fail(
      issue(
        "entryId",
        "stale/entry-id",
        `entryId ${draft.entryId} was used for another entry: make a new one.`,
        draft.entryId,
      ),
    );
  return ok(viewOf(jobId, await entriesOf(on, jobId), shopContext));
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
  const kept = await shopContext.db.transaction((tx) => recordWithin(tx, jobId, draft, now, shopContext));
  if (kept.ok) announce({ jobId, seq: kept.value.seq });
  return kept;
}

/** The same, inside a transaction that the caller has open. */
export async function recordWithin(
  tx: Executor,
  jobId: number,
  draft: EntryDraft,
  now: string,
  shopContext: ShopContext,
): Promise<Result<JobView>> {
  if (!(await lockJob(tx, jobId))) return noSuchJob(jobId);
  const before = await repeated(tx, jobId, draft, shopContext);
  if (before) return before;
  const entries = await entriesOf(tx, jobId);
  const isBehind = entries.length !== draft.expectedSeq;
  if (isBehind && !(NAMES_ITS_LINE.has(draft.kind) && entries.length > draft.expectedSeq))
    return stale(jobId, entries, draft);
  const view = viewOf(jobId, entries, shopContext);
  const completed = await completeEntry(draft, { view, on: tx, now, shopContext });
  if (!completed.ok) return completed;
  const { entry, need } = completed.value;
  const { watch, by } = draft;
  const today = dayIn(now, shopContext.settings.value.zone);
  const refused = guardEntry(view, entries, entry, {
    by,
    now,
    watch,
    need,
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
  };
  const appended = await appendEntry(tx, place, entry);
  return ok(viewOf(jobId, [...entries, appended], shopContext));
}
