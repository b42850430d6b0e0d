// A small writer that is killed hard: it says each sequence number only after its line was kept.
import { randomUUID } from "node:crypto";
import { writeSync } from "node:fs";
import { openFolder } from "@/server/db/connect";
import { jobView } from "@/server/queries/jobs";
import { groundOn } from "@/server/services/ground";
import { recordEntry } from "@/server/services/record-entry";
import { takeIn } from "@/server/services/take-in";
import { CARDER } from "./shop-machine";

const [folder = ""] = process.argv.slice(2);
const { db } = await openFolder(folder, `writer ${process.pid}`);
const ground = await groundOn(db);
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
  ground,
);
if (!made.ok) throw new Error(made.issues[0]?.message);
const found = await jobView(db, made.value, { ...ground.knowledge, limits: ground.limits });
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
    ground,
  );
  if (!kept.ok) throw new Error(kept.issues[0]?.message);
  seq = kept.value.seq;
  writeSync(1, `kept ${seq}\n`);
}
