// npm run restore -- FILE --data NEW-FOLDER: a shop from one of its backups, in a folder of its own.
import { resolve } from "node:path";
import { parseArgs } from "node:util";
import { restoreArchive } from "@/server/backup/restore";
import { ensureSnapshot, fail } from "./lib/prepare.mjs";

const { values, positionals } = parseArgs({ allowPositionals: true, options: { data: { type: "string" } } });
const [file] = positionals;
if (!file || !values.data)
  fail("Name the backup and a new folder: npm run restore -- FILE --data NEW-FOLDER");
ensureSnapshot();
const folder = resolve(values.data);
const restored = await restoreArchive(resolve(file), folder);
if (!restored.ok) fail(restored.issues.map(({ message }) => message).join(" "));
const { jobs, entries } = restored.value.counts;
console.log(`${jobs} jobs with ${entries} lines are in ${folder}: npm start -- --data ${folder}`);
process.exit(0);
