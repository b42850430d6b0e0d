import { logTextOf } from "@/server/repositories/entries";
import { jobsToWorkOut } from "@/server/repositories/job-facts";
import { factsHands } from "./facts-threads";
import { keepFactsOfJobs, keepWorkedOut } from "./job-facts";
import { factsBasis, type LogText } from "./own-facts";
import type { ShopContext } from "./shop-context";

const LOT = 100;
/** Few enough that nobody waits long for the database meanwhile. */
const SMALL_LOT = 5;
/** Threads are worth their beginning for a shop of many jobs only. */
const MANY = 500;
const TELL_EVERY = 5_000;

function* lotsOf(jobIds: readonly number[], size: number): Generator<readonly number[]> {
  for (let from = 0; from < jobIds.length; from += size) yield jobIds.slice(from, from + size);
}

/**
 * Before anybody is served: every job has facts, as after an upgrade, a rebuild or a restore.
 * @param many from how many jobs on they are worked out beside each other
 */
export async function readyFacts(
  shopContext: ShopContext,
  tell: (sentence: string) => void = console.log,
  many = MANY,
): Promise<void> {
  const { db } = shopContext;
  const missing = await jobsToWorkOut(db);
  if (missing.length >= many) return readyMany(shopContext, missing, tell);
  for (const lot of lotsOf(missing, LOT)) await keepFactsOfJobs(db, lot, shopContext);
}

/** Read here, worked out in threads, kept here: lots are under way in each of the three. */
async function readyMany(
  shopContext: ShopContext,
  missing: readonly number[],
  tell: (sentence: string) => void,
): Promise<void> {
  const { db } = shopContext;
  tell(`Working out where ${missing.length} jobs stand (once) …`);
  const hands = factsHands(shopContext);
  const underWay = new Set<Promise<void>>();
  let [sum, told] = [0, 0];
  const work = async (logs: LogText): Promise<void> => {
    const goneOn = await keepWorkedOut(db, await hands.ask(logs));
    await keepFactsOfJobs(db, goneOn, shopContext);
    sum += logs.jobIds.length;
    if (sum - told < TELL_EVERY) return;
    told = sum;
    tell(`${sum} of ${missing.length} jobs are worked out.`);
  };
  try {
    for (const lot of lotsOf(missing, LOT)) {
      const begun = work({ jobIds: lot, text: await logTextOf(db, lot) });
      underWay.add(begun);
      void begun.then(
        () => underWay.delete(begun),
        () => undefined,
      );
      if (underWay.size > hands.count) await Promise.race(underWay);
    }
    await Promise.all(underWay);
  } finally {
    hands.end();
  }
}

/** While everybody is served: facts of another knowledge, which the Bench works out again anyway where it shows them. */
export async function renewFacts(shopContext: ShopContext): Promise<void> {
  const { madeWith } = factsBasis(shopContext);
  for (const lot of lotsOf(await jobsToWorkOut(shopContext.db, madeWith), SMALL_LOT)) {
    await keepFactsOfJobs(shopContext.db, lot, shopContext);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
