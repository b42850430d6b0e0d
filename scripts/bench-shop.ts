// npm run bench:shop: what docs/methods/reliability.md promises, measured. Options: --fuzz N --kills N --cuts N --logs N --minutes N --jobs N --pictures N --large FOLDER
import { spawnSync } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { keepNote, seqOf } from "./lib/keep-note";
import { measureBenches } from "./lib/measure-benches";
import { measureLoad } from "./lib/measure-load";
import { quantile, residentMegabytes } from "./lib/measured";
import { ensureBuilt, ensureSnapshot, startServer } from "./lib/prepare.mjs";

const { values } = parseArgs({
  options: {
    fuzz: { type: "string", default: "200000" },
    kills: { type: "string", default: "100" },
    cuts: { type: "string", default: "100" },
    logs: { type: "string", default: "500" },
    /** Minutes that five benches work at once. */
    minutes: { type: "string", default: "10" },
    jobs: { type: "string", default: "50000" },
    pictures: { type: "string", default: "20000" },
    /** A large shop that was made before. */
    large: { type: "string" },
    port: { type: "string", default: "47190" },
  },
});
const JOBS = [101, 102, 103, 104, 105, 106, 107, 108];
const ALONE = 200;
const TOGETHER_MS = 10_000;

/** A test at the size of this command. */
function suite(title: string, file: string, env: Record<string, string>): void {
  const started = Date.now();
  const { status, stdout } = spawnSync("npx", ["--no-install", "vitest", "run", file], {
    encoding: "utf8",
    env: { ...process.env, ...env },
  });
  const seconds = Math.round((Date.now() - started) / 1000);
  console.log(`${status === 0 ? "holds" : "FAILS"}  ${title} (${seconds} s)`);
  if (status !== 0) console.log(stdout.split("\n").slice(-40).join("\n"));
}

ensureSnapshot();
ensureBuilt();
suite(`${values.fuzz} hostile requests: none 500, none over 2 s`, "tests/server/fuzz", {
  FUZZ_REQUESTS: values.fuzz,
});
suite(`${values.kills} hard kills: nothing acknowledged lost`, "tests/server/kill.test.ts", {
  KILLS: values.kills,
});
suite(`every offered action of the demo and of ${values.logs} logs holds`, "tests/server/offered.test.ts", {
  OFFERED_LOGS: values.logs,
});
suite(`${values.cuts} power cuts: nothing acknowledged lost`, "tests/server/power-cut.test.ts", {
  CUTS: values.cuts,
});

const started = Date.now();
const { child, address } = await startServer({
  port: Number(values.port),
  data: mkdtempSync(join(tmpdir(), "spindle-bench-shop-")),
  output: "ignore",
});
console.log(`first start with the demo ${((Date.now() - started) / 1000).toFixed(1)} s`);
const alone: number[] = [];
let seq = await seqOf(address, 109);
for (let count = 0; count < ALONE; count += 1) {
  const kept = await keepNote(address, 109, seq);
  seq = kept.seq;
  alone.push(kept.ms);
}
alone.sort((one, other) => one - other);
console.log(
  `kept entry with journal, alone: p50 ${quantile(alone, 0.5).toFixed(1)} ms, p95 ${quantile(alone, 0.95).toFixed(1)} ms`,
);
const until = Date.now() + TOGETHER_MS;
const counts = await Promise.all(
  JOBS.map(async (job) => {
    let [line, count] = [await seqOf(address, job), 0];
    while (Date.now() < until) {
      line = (await keepNote(address, job, line)).seq;
      count += 1;
    }
    return count;
  }),
);
const sum = counts.reduce((one, other) => one + other, 0);
console.log(`8 writers together: ${(sum / (TOGETHER_MS / 1000)).toFixed(0)} entries a second`);
await new Promise((resolve) => setTimeout(resolve, 3_000));
console.log(`memory after that, idle: ${residentMegabytes(child.pid)} MB`);
if (Number(values.minutes) > 0) await measureBenches(address, child.pid, Number(values.minutes));
child.kill("SIGTERM");
await new Promise((resolve) => child.once("exit", resolve));
const jobs = Number(values.jobs);
if (jobs > 0)
  await measureLoad({
    jobs,
    pictures: Number(values.pictures),
    folder: values.large,
    port: Number(values.port) + 1,
  });
process.exit(0);
