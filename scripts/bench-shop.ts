// npm run bench:shop: what docs/methods/reliability.md promises, measured. Options: --fuzz N --kills N --cuts N --logs N --minutes N --jobs N --pictures N --large FOLDER
import { spawnSync } from "node:child_process";
import { parseArgs } from "node:util";
import { keepNote, seqOf } from "./lib/keep-note";
import { measureBenches } from "./lib/measure-benches";
import { makeLarge, measureLoad } from "./lib/measure-load";
import { quantile, residentMegabytes } from "./lib/measured";
import { ensureBuilt, ensureSnapshot, startServer } from "./lib/prepare.mjs";
import { demoFolder, isSmoke, sized } from "./lib/sized.mjs";

const { values } = parseArgs({
  options: {
    fuzz: { type: "string", default: String(sized(200_000, 0)) },
    kills: { type: "string", default: String(sized(100, 0)) },
    cuts: { type: "string", default: String(sized(100, 0)) },
    logs: { type: "string", default: String(sized(500, 0)) },
    /** Minutes that five benches work at once. */
    minutes: { type: "string", default: String(sized(10, 0)) },
    jobs: { type: "string", default: String(sized(50_000, 40)) },
    pictures: { type: "string", default: String(sized(20_000, 3)) },
    /** A large shop that was made before. */
    large: { type: "string" },
    port: { type: "string", default: "47190" },
  },
});
/** Nine jobs that are on the bench: of the demo, or in short of the large shop, which is then the only one. */
const FIRST = sized(101, 1_001);
const JOBS = Array.from({ length: 8 }, (_, index) => FIRST + index);
const ALONE_IN = FIRST + 8;
const ALONE = sized(200, 5);
const TOGETHER_MS = sized(10_000, 500);

/** A test at the size of this command; `npm test` runs each of them in small. */
function suite(title: string, file: string, env: Record<string, string>): void {
  if (Object.values(env).includes("0")) return;
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
const data = demoFolder();
const asked = { jobs: Number(values.jobs), pictures: Number(values.pictures) };
if (isSmoke) await makeLarge(data, asked);
const { child, address } = await startServer({
  port: Number(values.port),
  data,
  seed: isSmoke ? "none" : "demo",
  output: "ignore",
});
console.log(`first start with the demo ${((Date.now() - started) / 1000).toFixed(1)} s`);
const alone: number[] = [];
let seq = await seqOf(address, ALONE_IN);
for (let count = 0; count < ALONE; count += 1) {
  const kept = await keepNote(address, ALONE_IN, seq);
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
if (asked.jobs > 0)
  await measureLoad({ ...asked, folder: isSmoke ? data : values.large, port: Number(values.port) + 1 });
process.exit(0);
