import { createHash } from "node:crypto";
import { type Lesson, lessonOf } from "@/core/isolation/lesson";
import { countsOf } from "@/core/isolation/shop-counts";
import { folded } from "@/core/job/folded";
import { closedJobOf } from "@/core/job/isolation/closed-job";
import type { JobView } from "@/core/job/log/view";
import { isHere, type Standing, standingOf } from "@/core/job/standing";
import type { Limits } from "@/core/knowledge/types";
import { viewOf } from "@/server/queries/view-of";
import { logsIn } from "@/server/repositories/entries";
import type { FactsBasis, JobFacts } from "@/server/repositories/job-facts";
import type { ShopContext } from "./shop-context";

/** Raised whenever facts are worked out in another way: those kept are then worked out again. */
const FACTS_VERSION = 7;

export type FactsContext = Pick<ShopContext, "knowledge" | "limits">;

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

/** What is to be kept of a job beside its log, but for whose it is. */
export type OwnFacts = Omit<JobFacts, "ownerId" | "ownerSearch">;

export function ownFacts(view: JobView, context: FactsContext): OwnFacts {
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

/** Logs of some jobs as the database hands them out. */
export interface LogText {
  readonly jobIds: readonly number[];
  readonly text: string;
}

/** What is to be kept of some jobs; one without a line has facts too. */
export function factsInText({ jobIds, text }: LogText, context: FactsContext): readonly OwnFacts[] {
  const reducing = { ...context.knowledge, limits: context.limits };
  const logs = logsIn(text);
  return jobIds.map((jobId) => ownFacts(viewOf(jobId, logs.get(jobId) ?? [], reducing), context));
}
