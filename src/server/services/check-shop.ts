import { countsFrom, type Lesson } from "@/core/isolation/lesson";
import { canonicalJson } from "@/server/db/content-hash";
import { shopDatabase } from "@/server/db/shop-database";
import { readCounts } from "@/server/queries/shop-counts";
import { viewOf } from "@/server/queries/view-of";
import { logsOfJobs } from "@/server/repositories/entries";
import { factsOf } from "@/server/repositories/job-facts";
import { everyJobId } from "@/server/repositories/jobs";
import { workOutFacts } from "./job-facts";
import type { ShopContext } from "./shop-context";

const LOT = 100;

/** What a shop holds that is not as its logs say, each in a sentence. */
export interface Checked {
  readonly jobs: number;
  readonly lines: number;
  readonly wrong: readonly string[];
  /** Jobs whose facts are to be worked out again. */
  readonly stale: readonly number[];
}

/** Reads every line of every log and compares what is kept beside it: facts, the shop's counts, pictures. */
export async function checkShop(shopContext: ShopContext): Promise<Checked> {
  const { db } = shopContext;
  const { pictures } = await shopDatabase();
  const reducing = { ...shopContext.knowledge, limits: shopContext.limits };
  const ids = await everyJobId(db);
  const wrong: string[] = [];
  const stale: number[] = [];
  const sums = new Map<string, number>();
  let lines = 0;
  for (let from = 0; from < ids.length; from += LOT) {
    for (const [jobId, entries] of await logsOfJobs(db, ids.slice(from, from + LOT))) {
      lines += entries.length;
      const view = viewOf(jobId, entries, reducing);
      const right = await workOutFacts(db, view, shopContext);
      if (canonicalJson((await factsOf(db, jobId)) ?? null) !== canonicalJson(right)) stale.push(jobId);
      for (const [name, micro] of (right.lesson ?? []) as Lesson)
        sums.set(name, (sums.get(name) ?? 0) + micro);
      for (const { seq } of view.unreadable) wrong.push(`Job ${jobId}, line ${seq} cannot be read.`);
      for (const { seq, sha256 } of view.pictures)
        if (!(await pictures.has(sha256, "whole")))
          wrong.push(`Job ${jobId}, line ${seq}: its picture ${sha256.slice(0, 12)} is gone.`);
    }
  }
  const counted = countsFrom([...sums].sort(([one], [other]) => (one < other ? -1 : 1)));
  const inOrder = (counts: object): string =>
    canonicalJson(
      Object.entries(counts).map(([name, rows]) => [name, (rows as object[]).map(canonicalJson).sort()]),
    );
  if (stale.length === 0 && inOrder(counted) !== inOrder(await readCounts(db)))
    wrong.push("What the closed jobs add up to is not what is kept.");
  if (stale.length > 0)
    wrong.push(
      `What is kept beside the logs of ${stale.length} jobs is not what they say, job ${stale[0]} first.`,
    );
  return { jobs: ids.length, lines, wrong, stale };
}
