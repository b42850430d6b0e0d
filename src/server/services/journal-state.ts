import { shopDatabase } from "@/server/db/shop-database";

/** As many as a screen says: all of them stand in the journal's folder. */
const SHOWN = 5;

/** The last few things that the journal was found to lack, the newest last: a moment and a sentence each. */
export async function lackedInJournal(): Promise<readonly string[]> {
  return (await shopDatabase()).lackedInJournal().slice(-SHOWN);
}
