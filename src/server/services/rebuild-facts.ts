import { logTextOf } from "@/server/repositories/entries";
import { countWithoutFacts, jobsToWorkOut } from "@/server/repositories/job-facts";
import { factsHands } from "./facts-threads";
import { keepFactsOfJobs, keepWorkedOut } from "./job-facts";
import { factsBasis, type LogText } from "./own-facts";
import type { ShopContext } from "./shop-context";

const LOT = 100;
/** Few enough that nobody waits long for the database meanwhile. */
const SMALL_LOT = 5;
const TELL_FROM = 500;
const TELL_EVERY = 5_000;

/** Works out, a lot at a time, whatever has no facts, and what was worked out with another knowledge than the one named. */
async function eachLot(
  shopContext: ShopContext,
  { madeWith, most }: { readonly madeWith: string | undefined; readonly most: number },
  done: (jobs: number) => Promise<void> | void,
): Promise<void> {
  let after = 0;
  for (;;) {
    const lot = await jobsToWorkOut(shopContext.db, { madeWith, after, limit: most });
    const last = lot.at(-1);
    if (last === undefined) return;
    await keepFactsOfJobs(shopContext.db, lot, shopContext);
    after = last;
    await done(lot.length);
  }
}

/** Before anybody is served: every job has facts, as after an upgrade, a rebuild or a restore. */
export async function readyFacts(
  shopContext: ShopContext,
  tell: (sentence: string) => void = console.log,
): Promise<void> {
  const { db } = shopContext;
  const missing = await countWithoutFacts(db);
  if (missing === 0) return;
  // Threads are worth their beginning for a shop of many jobs only.
  if (missing < TELL_FROM) return eachLot(shopContext, { madeWith: undefined, most: LOT }, () => undefined);
  tell(`Working out where ${missing} jobs stand (once) …`);
  const hands = factsHands(shopContext);
  const underWay = new Set<Promise<void>>();
  let [sum, told] = [0, 0];
  const work = async (logs: LogText): Promise<void> => {
    const goneOn = await keepWorkedOut(db, await hands.ask(logs));
    await keepFactsOfJobs(db, goneOn, shopContext);
    sum += logs.jobIds.length;
    if (sum - told < TELL_EVERY) return;
    told = sum;
    tell(`${sum} of ${missing} jobs are worked out.`);
  };
  try {
    for (let after = 0; ; ) {
      const lot = await jobsToWorkOut(db, { madeWith: undefined, after, limit: LOT });
      after = lot.at(-1) ?? 0;
      if (after === 0) break;
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
  await eachLot(
    shopContext,
    { madeWith, most: SMALL_LOT },
    () => new Promise((resolve) => setTimeout(resolve, 50)),
  );
}
