// Timings of the core, warmed: median and 95th percentile of many runs.

import { rmSync } from "node:fs";
import { createIsolator } from "@/core/isolation/isolate";
import { parseCapacitorMark } from "@/core/markings/capacitor";
import { parseReading } from "@/core/quantity/parse-reading";
import { reduceJob } from "@/log/reduce";
import { openFolder } from "@/server/db/connect";
import { entriesOf } from "@/server/repositories/entries";
import { seedDemo } from "@/server/services/seed-demo";
import { shopContextOn } from "@/server/services/shop-context";
import { allTools } from "@/tools/registry";
import { demoFolder, isSmoke, sized } from "./lib/sized.mjs";

const RUNS = sized(400, 1);

function timed(name: string, run: () => unknown, runs = RUNS): void {
  for (let warm = 0; warm < runs / 8; warm += 1) run();
  const times = Array.from({ length: runs }, () => {
    const started = performance.now();
    run();
    return performance.now() - started;
  }).sort((one, other) => one - other);
  const at = (share: number): string => (times[Math.floor(share * (times.length - 1))] ?? 0).toFixed(3);
  console.log(`${name.padEnd(52)} median ${at(0.5)} ms   p95 ${at(0.95)} ms`);
}

const folder = demoFolder();
const { db, close } = await openFolder(folder, "npm run bench");
if (!isSmoke) await seedDemo(await shopContextOn(db), new Date("2026-11-25T09:00:00Z"));
const { knowledge, limits } = await shopContextOn(db);
const context = { limits, knowledgeVersion: knowledge.version };
const entries = await entriesOf(db, 103);
const long = Array.from({ length: 40 }, () => entries)
  .flat()
  .map((entry, index) => ({ ...entry, seq: index + 1 }));
timed("parse a reading", () => parseReading("61.8u", "capacitance"));
timed("parse a capacitor marking", () => parseCapacitorMark("30 μF ±5% 450V~ 50/60Hz 25/085/21 S0 class B"));
for (const tool of await allTools()) timed(tool.title, () => tool.run(tool.example, context));
timed(`reduce a job of ${entries.length} lines`, () => reduceJob(103, entries, { ...knowledge, limits }));
timed(`reduce a job of ${long.length} lines`, () => reduceJob(103, long, { ...knowledge, limits }));
const isolate = createIsolator(knowledge);
const evidence = [
  ["owner-report", "hums-still"],
  ["turn-shaft", "free"],
  ["push-start", "runs"],
  ["start-capacitance", "inside"],
].map(([moveId = "", outcomeId = ""], index) => ({ seq: index + 1, moveId, outcomeId }));
for (const family of ["capacitor-start", "permanent-split-capacitor"].slice(0, sized(2, 1))) {
  const said = evidence.filter(
    ({ moveId }) => family === "capacitor-start" || moveId !== "start-capacitance",
  );
  const ask = () => isolate({ machine: { family }, evidence: said });
  const first = performance.now();
  const found = ask();
  console.log(
    `${`table of ${family}`.padEnd(52)} once ${(performance.now() - first).toFixed(0)} ms, ${found.ok ? found.value.basis.hypotheses : 0} hypotheses`,
  );
  timed(`answer to re-ranked moves, ${family}`, ask);
  const nothing = said.slice(0, 1);
  timed(
    `two steps ahead, ${family}`,
    () => isolate({ machine: { family }, evidence: nothing, options: { lookAhead: 2 } }),
    sized(60, 1),
  );
}
await close();
rmSync(folder, { recursive: true });
// The thread that isolated for the demo shop would keep this program alive.
process.exit(0);
