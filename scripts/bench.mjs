// npm run bench: start times, weight of pages and packages, time of an entry, timings of the core, laws run often.
// --no-cold leaves out the fresh clone, which installs every package again; --smoke only shows that every bench runs to
// its end, below a minute.
import { execFileSync, spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pageWeight } from "./lib/page-weight.mjs";
import { ensureBuilt, ensureInstalled, ensureSnapshot, startServer } from "./lib/prepare.mjs";

const PORT = 47_210;
const ANCHOR = "2026-11-25T09:00:00Z";
const JOB_PAGES = ["take-in", "make-safe", "measure"].map((stage) => ({
  path: `/jobs/103/${stage}`,
  budget: 260,
}));
const TOOL_PAGES = readdirSync("src/tools", { withFileTypes: true })
  .filter((topic) => topic.isDirectory())
  .flatMap(({ name }) => readdirSync(join("src/tools", name)))
  .map((id) => ({ path: `/tools/${id}`, budget: 260 }));
const PAGES = [
  { path: "/", budget: 260 },
  { path: "/jobs/new", budget: 260 },
  ...JOB_PAGES,
  { path: "/jobs/104/isolate", budget: 260 },
  ...TOOL_PAGES,
  { path: "/knowledge", budget: 260 },
  { path: "/knowledge/moves/start-capacitance", budget: 260 },
  { path: "/jobs/103/match", budget: 260 },
  { path: "/parts", budget: 260 },
  { path: "/set-up", budget: 260 },
];
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;

/** Runs `npm start` and waits for its word that it is ready. */
function timeStart(cwd, data, port) {
  return new Promise((resolve, reject) => {
    const started = Date.now();
    let took;
    const child = spawn("npm", ["start", "--silent", "--", "--port", String(port), "--data", data], {
      cwd,
      stdio: ["ignore", "pipe", "inherit"],
      detached: true,
    });
    child.stdout.on("data", (piece) => {
      if (!String(piece).includes("is ready")) return;
      took = Date.now() - started;
      process.kill(-child.pid, "SIGTERM");
    });
    child.once("exit", (code) =>
      took === undefined ? reject(new Error(`npm start ended with ${code}`)) : resolve(took),
    );
  });
}

async function coldStart() {
  const clone = mkdtempSync(join(tmpdir(), "spindle-clone-"));
  execFileSync("git", ["clone", "--quiet", process.cwd(), clone]);
  const took = await timeStart(clone, join(clone, "data"), PORT);
  rmSync(clone, { recursive: true, force: true });
  console.log(`cold start (fresh clone: install, build, first folder)   ${seconds(took)}`);
}

async function starts() {
  const data = mkdtempSync(join(tmpdir(), "spindle-bench-"));
  console.log(
    `first start (installed and built, new folder, demo shop)  ${seconds(await timeStart(process.cwd(), join(data, "shop"), PORT + 1))}`,
  );
  const warm = [];
  for (let run = 0; run < 5; run += 1)
    warm.push(await timeStart(process.cwd(), join(data, "shop"), PORT + 2 + run));
  warm.sort((one, other) => one - other);
  console.log(`warm start (median of ${warm.length}, aim below 5 s)                   ${seconds(warm[2])}`);
  rmSync(data, { recursive: true, force: true });
}

async function entryTimes(address, warm, runs) {
  const times = [];
  let { seq } = await (await fetch(`${address}/api/jobs/104`)).json();
  for (let run = 0; run < warm + runs; run += 1) {
    const body = {
      entryId: crypto.randomUUID(),
      expectedSeq: seq,
      kind: "note",
      stage: "measure",
      by: "bench",
      payload: { text: `line ${run}` },
    };
    const started = performance.now();
    const answer = await fetch(`${address}/api/jobs/104/entries`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    });
    ({ seq } = await answer.json());
    if (run >= warm) times.push(performance.now() - started);
  }
  times.sort((one, other) => one - other);
  console.log(
    `an entry kept, over HTTP: median ${times[runs >> 1].toFixed(1)} ms, p95 ${times[Math.floor(runs * 0.95)].toFixed(1)} ms`,
  );
}

async function weights(pages, runs, data = mkdtempSync(join(tmpdir(), "spindle-bench-"))) {
  const { child, address } = await startServer({
    port: PORT + 9,
    data,
    output: "ignore",
    anchor: ANCHOR,
  });
  for (const { path, budget } of pages) {
    const { kilobytes, files } = await pageWeight(address, path);
    console.log(
      `script of ${path.padEnd(30)} ${kilobytes.toFixed(0).padStart(4)} kB gzipped in ${files} files (budget ${budget})${kilobytes > budget ? "  OVER" : ""}`,
    );
  }
  await entryTimes(address, runs >> 1, runs);
  child.kill();
  await new Promise((resolve) => child.once("exit", resolve));
  rmSync(data, { recursive: true, force: true });
}

const NO_SHOP = new Set(["isolation", "mutations", "decide", "windings", "match"]);
const BENCHES = ["screens", "core", "decide", "windings", "match"];

/** Every bench in short, two at a time. @returns how many did not run to their end */
async function smoke() {
  const began = Date.now();
  const waiting = ["isolation", "match", "shop", ...BENCHES.filter((name) => name !== "match"), "mutations"];
  const demo = join(mkdtempSync(join(tmpdir(), "spindle-bench-")), "demo");
  // Those that need no demo begin meanwhile.
  const seeded = startServer({ port: PORT + 8, data: demo, output: "ignore", anchor: ANCHOR }).then(
    ({ child }) => {
      child.kill();
      return new Promise((resolve) => child.once("exit", resolve));
    },
  );
  let failed = 0;
  const lane = async () => {
    for (let name = waiting.shift(); name !== undefined; name = waiting.shift()) {
      const words = [];
      if (!NO_SHOP.has(name)) await seeded;
      const child = spawn("npx", ["--no-install", "tsx", `scripts/bench-${name}.ts`], {
        stdio: ["ignore", "pipe", "pipe"],
        env: { ...process.env, BENCH_SMOKE: "yes", BENCH_DEMO: demo },
      });
      for (const stream of [child.stdout, child.stderr]) stream.on("data", (piece) => words.push(piece));
      const code = await new Promise((resolve) => child.once("close", resolve));
      if (code === 0) continue;
      failed += 1;
      console.log(`bench-${name} ended with ${code}:\n${Buffer.concat(words)}`);
    }
  };
  await Promise.all([lane(), lane()]);
  await weights(PAGES.slice(0, 1), 2, demo);
  console.log(
    `every bench in short: ${failed === 0 ? "all ran" : `${failed} did not run`} to their end, ${seconds(Date.now() - began)}`,
  );
  return failed;
}

ensureInstalled();
ensureSnapshot();
ensureBuilt();
if (process.argv.includes("--smoke")) process.exit(await smoke());
console.log(
  `node_modules                                              ${execFileSync("du", ["-sh", "node_modules"], { encoding: "utf8" }).split("\t")[0]}`,
);
if (!process.argv.includes("--no-cold")) await coldStart();
await starts();
await weights(PAGES, 60);
for (const name of BENCHES)
  spawnSync("npx", ["--no-install", "tsx", `scripts/bench-${name}.ts`], { stdio: "inherit" });
console.log("\nlaws, 2,000 runs each:");
const laws = spawnSync("npx", ["--no-install", "vitest", "run", "--project", "node", "laws"], {
  stdio: "inherit",
  env: { ...process.env, LAW_RUNS: "2000", WALK_STEPS: "100000" },
});
console.log("\nrules of safety, each broken once:");
const broken = spawnSync("npx", ["--no-install", "tsx", "scripts/bench-mutations.ts"], { stdio: "inherit" });
process.exit(laws.status || broken.status || 0);
