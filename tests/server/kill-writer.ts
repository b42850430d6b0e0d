// A small writer that is killed hard: it says each sequence number only after its line was kept.
import { randomUUID } from "node:crypto";
import { writeSync } from "node:fs";
import { openFolder } from "@/server/db/connect";
import { jobView } from "@/server/queries/jobs";
import { recordEntry } from "@/server/services/record-entry";
import { shopContextOn } from "@/server/services/shop-context";
import { takeIn } from "@/server/services/take-in";
import { CARDER } from "./shop-machine";

const [folder = ""] = process.argv.slice(2);
const { db } = await openFolder(folder, `writer ${process.pid}`);
const shopContext = await shopContextOn(db);
const now = (): string => new Date().toISOString();
const made = await takeIn(
  {
    entryId: "00000000-0000-4000-8000-000000000001",
    by: "writer",
    takenIn: CARDER,
    owner: null,
    complaint: null,
    plate: null,
    pictures: [],
  },
  now(),
  shopContext,
);
if (!made.ok) throw new Error(made.issues[0]?.message);
const found = await jobView(db, made.value, { ...shopContext.knowledge, limits: shopContext.limits });
let seq = found?.view.seq ?? 0;
writeSync(1, `from ${seq}\n`);
for (;;) {
  const kept = await recordEntry(
    made.value,
    {
      entryId: randomUUID(),
      expectedSeq: seq,
      kind: "note",
      stage: "measure",
      by: "writer",
      payload: { text: `line ${seq + 1}` },
    },
    now(),
    shopContext,
  );
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
  seq = kept.value.seq;
  writeSync(1, `kept ${seq}\n`);
}
