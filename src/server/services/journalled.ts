import { shopDatabase } from "@/server/db/shop-database";

/** Over when all that was committed so far stands in the journal: only then is anybody told that it is kept. */
export async function journalled(): Promise<void> {
  await (await shopDatabase()).written();
}
