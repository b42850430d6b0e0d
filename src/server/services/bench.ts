import { inBenchOrder } from "@/core/job/bench-order";
import type { BenchPage } from "@/core/job/bench-page";
import { folded } from "@/core/job/folded";
import type { JobHit } from "@/core/job/job-hit";
import { nextStep } from "@/core/job/next-step";
import { wordNow } from "@/core/job/sign-off/word-now";
import { isInstant } from "@/core/quantity/format";
import {
  type Cursor,
  countFacts,
  type StandingRow,
  searchFacts,
  standingOfJobs,
  standingPage,
} from "@/server/repositories/job-facts";
import { keepFactsOfJobs } from "./job-facts";
import { factsBasis } from "./own-facts";
import type { ShopContext } from "./shop-context";
import { benchProps } from "./shop-props";

const HERE_LIMIT = 50;
/** More than a shop has standing about: among so many the Bench looks for what comes first. */
const LOOKED_THROUGH = 200;
/** What a screen shows without scrolling far, and somewhat more. */
const AT_THE_TOP = 16;
const GONE_LIMIT = 50;

/** What is asked of the Bench. */
export type BenchAsked =
  | { readonly list: "here" | "gone"; readonly after?: Cursor | undefined }
  | { readonly jobId: number };

/** Rows that were worked out with other limits or another knowledge are worked out again before they are shown. */
async function upToDate(
  rows: readonly StandingRow[],
  shopContext: ShopContext,
): Promise<readonly StandingRow[]> {
  const stale = rows.filter(({ isStale }) => isStale).map(({ jobId }) => jobId);
  if (stale.length === 0) return rows;
  await keepFactsOfJobs(shopContext.db, stale, shopContext);
  const again = await standingOfJobs(shopContext.db, stale, factsBasis(shopContext));
  const byId = new Map(again.map((row) => [row.jobId, row]));
  return rows.map((row) => byId.get(row.jobId) ?? row);
}

const CURSOR = /^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z)_(\d{1,9})$/;

export const cursorText = ({ touchedAt, jobId }: Cursor): string => `${touchedAt}_${jobId}`;

/** @returns undefined where it is no cursor of ours */
export function readCursor(text: string | null): Cursor | undefined {
  const [, touchedAt = "", jobId] = CURSOR.exec(text ?? "") ?? [];
  return jobId !== undefined && isInstant(touchedAt) ? { touchedAt, jobId: Number(jobId) } : undefined;
}

async function rowsAsked(asked: BenchAsked, shopContext: ShopContext) {
  const { db } = shopContext;
  const basis = factsBasis(shopContext);
  if ("jobId" in asked) return { rows: await standingOfJobs(db, [asked.jobId], basis), next: null };
  const isHere = asked.list === "here";
  const limit = isHere ? HERE_LIMIT : GONE_LIMIT;
  const rows = await standingPage(db, { isHere, after: asked.after, limit: limit + 1 }, basis);
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { rows: shown, next: rows.length > limit && last ? cursorText(last) : null };
}

/** Machines as the Bench shows them: those that are here, those that have left, or the one asked for. */
export async function benchPage(asked: BenchAsked, shopContext: ShopContext): Promise<BenchPage> {
  const { rows, next } = await rowsAsked(asked, shopContext);
  const shown = await upToDate(rows, shopContext);
  const jobs = shown.map(({ standing, ownerName }) => ({ standing, ownerName }));
  return { jobs, next, ...(await countFacts(shopContext.db)) };
}

/** The machines at the top of the Bench, for its page: the rest is loaded by the page itself. */
export async function benchTop(now: string, shopContext: ShopContext): Promise<BenchPage> {
  const { deadChecks, moves, tools, limits, settings } = benchProps(shopContext, now);
  const context = { deadChecks, moves, tools, limits, now, zone: settings.zone, isPlugFresh: false };
  const { db } = shopContext;
  const rows = await standingPage(
    db,
    { isHere: true, after: undefined, limit: LOOKED_THROUGH + 1 },
    factsBasis(shopContext),
  );
  const placed = (await upToDate(rows.slice(0, LOOKED_THROUGH), shopContext))
    .map(({ standing, ownerName }) => ({
      standing,
      ownerName,
      jobId: standing.jobId,
      step: nextStep(standing, context),
    }))
    .sort(inBenchOrder)
    .slice(0, AT_THE_TOP);
  const jobs = placed.map(({ standing, ownerName }) => ({ standing, ownerName }));
  return { jobs, next: null, ...(await countFacts(db)) };
}

const MOST_HITS = 8;
const MOST_WORDS = 12;

/** Jobs by number, tag, machine, place or owner: those on the bench first. */
export async function findJobs(
  words: string,
  { db, knowledge: { deadChecks }, limits }: ShopContext,
): Promise<JobHit[]> {
  const wanted = folded(words).split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  if (wanted.length === 0) return [];
  const hits = await searchFacts(db, wanted, MOST_HITS);
  return hits.map(({ jobId, touchedAt, ownerName, standing }) => ({
    jobId,
    machine: standing.takenIn?.machine ?? "",
    tag: standing.takenIn?.tag ?? "",
    place: standing.takenIn?.place ?? "",
    ownerName,
    touchedAt,
    decided: standing.decision?.label ?? "",
    word: standing.signedOff && wordNow(standing, standing.signedOff, { deadChecks, limits }).word,
    isSignedOff: standing.signedOff !== null,
  }));
}
