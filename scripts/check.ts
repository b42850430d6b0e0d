// npm run check -- --data DIR [--mend]: reads every line of a shop and compares what is kept beside the logs.
import { resolve } from "node:path";
import { parseArgs } from "node:util";
import { openFolder, openServer } from "@/server/db/connect";
import { setDatabase } from "@/server/db/shop-database";
import { checkShop } from "@/server/services/check-shop";
import { keepFactsOfJobs } from "@/server/services/job-facts";
import { shopContextOn } from "@/server/services/shop-context";
import { ensureSnapshot, fail } from "./lib/prepare.mjs";

const LOT = 100;
const { values } = parseArgs({
  options: { data: { type: "string", default: "data" }, mend: { type: "boolean", default: false } },
});
ensureSnapshot();
const url = process.env["DATABASE_URL"];
const shop = await (url
  ? openServer(url)
  : openFolder(resolve(values.data), `process ${process.pid} (checking)`)
).catch((error: Error) => fail(error.message));
setDatabase(shop);
await shop.checked;
for (const sentence of shop.lackedInJournal()) console.log(`Found in the journal: ${sentence}`);
const context = await shopContextOn(shop.db);
const { jobs, lines, wrong, stale } = await checkShop(context);
for (const sentence of wrong) console.log(sentence);
if (values.mend && stale.length > 0) {
  for (let from = 0; from < stale.length; from += LOT)
    await keepFactsOfJobs(shop.db, stale.slice(from, from + LOT), context);
  console.log(`Worked out again: ${stale.length} jobs.`);
}
console.log(
  `${jobs} jobs with ${lines} lines were read: ${wrong.length === 0 ? "all is as the logs say" : `${wrong.length} things are not as they should be`}.`,
);
await shop.close();
process.exit(wrong.length === 0 || (values.mend && stale.length > 0 && wrong.length === 1) ? 0 : 1);
