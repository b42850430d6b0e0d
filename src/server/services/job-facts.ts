import { folded } from "@/core/job/folded";
import type { JobView } from "@/core/job/log/view";
import type { Executor } from "@/server/db/executor";
import { lastLines, logTextOf } from "@/server/repositories/entries";
import { changeFacts, type JobFacts, putFacts } from "@/server/repositories/job-facts";
import { lockJobs } from "@/server/repositories/jobs";
import { heldOwnerNames } from "@/server/repositories/owners";
import { type FactsContext, factsInText, type OwnFacts, ownFacts } from "./own-facts";

function withOwner(facts: OwnFacts, names: ReadonlyMap<number, string>): JobFacts {
  const ownerId = facts.standing.takenIn?.ownerId ?? null;
  return { ...facts, ownerId, ownerSearch: folded(names.get(ownerId ?? 0) ?? "") };
}

/** What is to be kept of a job beside its log. */
export async function workOutFacts(on: Executor, view: JobView, context: FactsContext): Promise<JobFacts> {
  const ownerId = view.takenIn?.ownerId ?? null;
  return withOwner(ownFacts(view, context), await heldOwnerNames(on, ownerId === null ? [] : [ownerId]));
}

/**
 * Keeps what is known of a job beside its log. The job is locked.
 * @param before the job as its facts have it now, where that is known: the same owner is not looked up again
 */
export async function keepFacts(
  tx: Executor,
  view: JobView,
  context: FactsContext,
  before?: JobView,
): Promise<void> {
  const isSameOwner = before?.takenIn != null && before.takenIn.seq === view.takenIn?.seq;
  if (isSameOwner && (await changeFacts(tx, ownFacts(view, context)))) return;
  await putFacts(tx, [await workOutFacts(tx, view, context)]);
}

async function putOwned(tx: Executor, facts: readonly OwnFacts[]): Promise<void> {
  const ownerIds = facts.flatMap(({ standing }) => standing.takenIn?.ownerId ?? []);
  const names = await heldOwnerNames(tx, [...new Set(ownerIds)]);
  await putFacts(
    tx,
    facts.map((one) => withOwner(one, names)),
  );
}

/** Works the facts of some jobs out again from their logs, each lot in one transaction. */
export async function keepFactsOfJobs(
  db: Executor,
  jobIds: readonly number[],
  context: FactsContext,
): Promise<void> {
  if (jobIds.length === 0) return;
  await db.transaction(async (tx) => {
    const locked = await lockJobs(tx, jobIds);
    const facts = factsInText({ jobIds: locked, text: await logTextOf(tx, locked) }, context);
    await putOwned(tx, facts);
  });
}

/**
 * Keeps facts that were worked out while nothing was locked.
 * @returns jobs that have gone on meanwhile: nothing was kept of those
 */
export async function keepWorkedOut(db: Executor, facts: readonly OwnFacts[]): Promise<readonly number[]> {
  return db.transaction(async (tx) => {
    const locked = await lockJobs(
      tx,
      facts.map(({ jobId }) => jobId),
    );
    const last = await lastLines(tx, locked);
    const isAsRead = ({ jobId, seq }: OwnFacts): boolean => last.get(jobId) === seq;
    await putOwned(tx, facts.filter(isAsRead));
    return facts.filter((one) => !isAsRead(one)).map(({ jobId }) => jobId);
  });
}
