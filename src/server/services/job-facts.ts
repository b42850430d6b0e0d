import { createHash } from "node:crypto";
import { type Lesson, lessonOf } from "@/core/isolation/lesson";
import { countsOf } from "@/core/isolation/shop-counts";
import { folded } from "@/core/job/folded";
import { closedJobOf } from "@/core/job/isolation/closed-job";
import type { JobView } from "@/core/job/log/view";
import { isHere, type Standing, standingOf } from "@/core/job/standing";
import type { Limits } from "@/core/knowledge/types";
import type { Executor } from "@/server/db/executor";
import { viewOf } from "@/server/queries/view-of";
import { logsOfJobs } from "@/server/repositories/entries";
import { changeFacts, type FactsBasis, type JobFacts, putFacts } from "@/server/repositories/job-facts";
import { lockJobs } from "@/server/repositories/jobs";
import { heldOwnerNames } from "@/server/repositories/owners";
import type { ShopContext } from "./shop-context";

/** Raised whenever facts are worked out in another way: those kept are then worked out again. */
const FACTS_VERSION = 4;

type FactsContext = Pick<ShopContext, "knowledge" | "limits">;

const limitsHashes = new WeakMap<Limits, string>();

function hashOfLimits(limits: Limits): string {
  const known = limitsHashes.get(limits);
  if (known) return known;
  const made = createHash("sha256").update(JSON.stringify(limits)).digest("hex").slice(0, 16);
  limitsHashes.set(limits, made);
  return made;
}

/** What facts are worked out with now. */
export function factsBasis({ knowledge, limits }: FactsContext): FactsBasis {
  return { madeWith: `${FACTS_VERSION}:${knowledge.version}`, limitsOf: hashOfLimits(limits) };
}

function searchText(jobId: number, takenIn: Standing["takenIn"]): string {
  const { machine = "", tag = "", place = "" } = takenIn ?? {};
  return folded(["job", jobId, machine, tag, place].join(" "));
}

function lessonFrom(view: JobView, { knowledge }: FactsContext): Lesson | null {
  const closed = closedJobOf(view, knowledge.faults);
  return closed ? lessonOf(countsOf([closed], knowledge)) : null;
}

function withoutOwner(view: JobView, context: FactsContext): Omit<JobFacts, "ownerId" | "ownerSearch"> {
  const standing = standingOf(view);
  return {
    ...factsBasis(context),
    jobId: view.jobId,
    seq: view.seq,
    isHere: isHere(standing),
    touchedAt: view.ledger.at(-1)?.at ?? "1970-01-01T00:00:00.000Z",
    search: searchText(view.jobId, standing.takenIn),
    standing,
    lesson: lessonFrom(view, context),
  };
}

function withOwner(facts: ReturnType<typeof withoutOwner>, names: ReadonlyMap<number, string>): JobFacts {
  const ownerId = facts.standing.takenIn?.ownerId ?? null;
  return { ...facts, ownerId, ownerSearch: folded(names.get(ownerId ?? 0) ?? "") };
}

/** What is to be kept of a job beside its log. */
export async function workOutFacts(on: Executor, view: JobView, context: FactsContext): Promise<JobFacts> {
  const ownerId = view.takenIn?.ownerId ?? null;
  return withOwner(withoutOwner(view, context), await heldOwnerNames(on, ownerId === null ? [] : [ownerId]));
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
  if (isSameOwner && (await changeFacts(tx, withoutOwner(view, context)))) return;
  await putFacts(tx, [await workOutFacts(tx, view, context)]);
}

/** Works the facts of some jobs out again from their logs, each lot in one transaction. */
export async function keepFactsOfJobs(
  db: Executor,
  jobIds: readonly number[],
  context: FactsContext,
): Promise<void> {
  const reducing = { ...context.knowledge, limits: context.limits };
  await db.transaction(async (tx) => {
    const locked = await lockJobs(tx, jobIds);
    const logs = await logsOfJobs(tx, locked);
    const facts = locked.map((jobId) =>
      withoutOwner(viewOf(jobId, logs.get(jobId) ?? [], reducing), context),
    );
    const names = await heldOwnerNames(
      tx,
      facts.flatMap(({ standing }) => standing.takenIn?.ownerId ?? []),
    );
    await putFacts(
      tx,
      facts.map((one) => withOwner(one, names)),
    );
  });
}
