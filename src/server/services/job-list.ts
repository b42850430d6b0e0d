import type { JobListPage, ListedJob } from "@/core/job/job-list";
import { nextStep, type StepContext } from "@/core/job/next-step";
import { wordNow } from "@/core/job/sign-off/word-now";
import { type Cursor, countFacts, type ListedRow, listPage } from "@/server/repositories/job-facts";
import { cursorText } from "./bench";
import type { ShopContext } from "./shop-context";
import { benchProps } from "./shop-props";

const LIMIT = 500;

function listed(
  { jobId, touchedAt, createdAt, standing, ownerName }: ListedRow,
  context: StepContext,
): ListedJob {
  const { takenIn, signedOff } = standing;
  return {
    jobId,
    machine: takenIn?.machine ?? "",
    family: takenIn?.family ?? "",
    place: takenIn?.place ?? "",
    ownerId: takenIn?.ownerId ?? null,
    ownerName,
    takenInAt: createdAt,
    touchedAt,
    step: nextStep(standing, context),
    word: signedOff && wordNow(standing, signedOff, context).word,
  };
}

/** All jobs, here and gone, a page at a time. Whether a plug is still out is asked on its own screen, not here. */
export async function jobList(
  after: Cursor | undefined,
  now: string,
  shopContext: ShopContext,
): Promise<JobListPage> {
  const { deadChecks, moves, tools, limits, settings } = benchProps(shopContext, now);
  const context = { deadChecks, moves, tools, limits, now, zone: settings.zone, isPlugFresh: true };
  const rows = await listPage(shopContext.db, { after, limit: LIMIT + 1 });
  const shown = rows.slice(0, LIMIT);
  const last = shown.at(-1);
  const { here, gone } = await countFacts(shopContext.db);
  return {
    jobs: shown.map((row) => listed(row, context)),
    all: here + gone,
    next: rows.length > LIMIT && last ? cursorText(last) : null,
  };
}
