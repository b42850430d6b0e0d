import { countWithoutFacts, jobsToWorkOut } from "@/server/repositories/job-facts";
import { factsBasis, keepFactsOfJobs } from "./job-facts";
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
  const missing = await countWithoutFacts(shopContext.db);
  if (missing === 0) return;
  if (missing >= TELL_FROM) tell(`Working out where ${missing} jobs stand (once) …`);
  let [sum, told] = [0, 0];
  await eachLot(shopContext, { madeWith: undefined, most: LOT }, (jobs) => {
    sum += jobs;
    if (sum - told < TELL_EVERY) return;
    told = sum;
    tell(`${sum} of ${missing} jobs are worked out.`);
  });
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
