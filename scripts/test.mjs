// npm test: lint, rules, types, unit, server and end-to-end tests; ends in "N passed, N failed".
import { spawn, spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { relative } from "node:path";
import { ensureChromium } from "./lib/chromium.mjs";
import { ensureInstalled, ensureSnapshot } from "./lib/prepare.mjs";

const VITEST_REPORT = ".cache/vitest.json";
const E2E_REPORT = ".cache/e2e.json";

/** Isolation makes much that is soon thrown away: with more room for it an eighth of the time is saved. */
const NODE_OPTIONS = `${process.env.NODE_OPTIONS ?? ""} --max-semi-space-size=64`.trim();

/** The compiler in another language, a fifth of the time: by its path, since the other one has the same name. */
const QUICK_TSC = "node_modules/typescript-native/bin/tsc";

let passed = 0;
let failed = 0;

function run(command, args, env = {}) {
  return (
    spawnSync("npx", ["--no-install", command, ...args], {
      stdio: "inherit",
      env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1", NODE_OPTIONS, ...env },
    }).status === 0
  );
}

/** A check that is one thing: it holds or it does not. Its words are kept until it ends, so that checks may run at once. */
function check(title, command, args) {
  const started = Date.now();
  return new Promise((done) => {
    const words = [];
    const [program, ...before] = command.endsWith("/tsc")
      ? [process.execPath, command]
      : command === "node"
        ? [process.execPath]
        : ["npx", "--no-install", command];
    const child = spawn(program, [...before, ...args], {
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1" },
    });
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (piece) => words.push(piece));
    child.once("close", (code) => {
      if (code === 0) passed += 1;
      else failed += 1;
      console.log(`\n— ${title}\n${Buffer.concat(words).toString().trimEnd()}`);
      console.log(
        `${code === 0 ? "holds" : "FAILS"}: ${title} (${Math.round((Date.now() - started) / 1000)} s)`,
      );
      done();
    });
  });
}

/** A runner that counts for itself. A run that ends badly without a failed test counts as one. */
function suite(title, command, args, report, count) {
  console.log(`\n— ${title}`);
  rmSync(report, { force: true });
  const isGood = run(command, args, { PLAYWRIGHT_JSON_OUTPUT_NAME: report });
  let counted = { passed: 0, failed: 0 };
  try {
    counted = count(JSON.parse(readFileSync(report, "utf8")));
  } catch (error) {
    console.error(`no report of "${title}": ${error.message}`);
  }
  for (const [seconds, name] of (counted.slowest ?? []).slice(0, 10))
    console.log(`${seconds.toFixed(1).padStart(6)} s  ${name}`);
  passed += counted.passed;
  failed += counted.failed + (!isGood && counted.failed === 0 ? 1 : 0);
}

ensureInstalled();
mkdirSync(".cache", { recursive: true });
ensureChromium();
ensureSnapshot();
/** The longest runs beside the others: this machine has two cores. */
async function checks() {
  // The pages are compiled first: the others stand on them.
  await check("the knowledge holds (pages, references, chances, proofs)", "tsx", [
    "scripts/compile-knowledge.ts",
  ]);
  const others = async () => {
    await check("lint and format (Biome)", "biome", ["ci", "."]);
    await check("who may import whom (dependency-cruiser)", "depcruise", [
      "src",
      "--config",
      ".dependency-cruiser.cjs",
    ]);
    await check("migrations (drizzle-kit)", "drizzle-kit", ["check"]);
    await check("method pages are those of the code", "tsx", ["scripts/write-method-pages.ts", "--check"]);
  };
  // The program is built on the core that the short checks leave free.
  const built = async () => {
    await others();
    await check("the program builds", "tsx", ["scripts/build.ts"]);
    await check("every bench runs to its end (in short)", "node", ["scripts/bench.mjs", "--smoke"]);
  };
  // It writes the types of the content, on which the rest of the types stands.
  const types = async () => {
    await check("types of the pages (astro check)", "astro", ["check", "--tsconfig", "tsconfig.pages.json"]);
    await check("types of everything else (TypeScript)", QUICK_TSC, ["--noEmit"]);
  };
  await Promise.all([types(), built()]);
}

await checks();
suite(
  "unit and server tests (Vitest)",
  "vitest",
  ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${VITEST_REPORT}`],
  VITEST_REPORT,
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numPendingTests,
    slowest: report.testResults
      .map(({ name, startTime, endTime }) => [(endTime - startTime) / 1000, relative(process.cwd(), name)])
      .sort(([one], [other]) => other - one),
  }),
);
suite(
  "end-to-end tests (Playwright)",
  "playwright",
  ["test", "--reporter=list,json"],
  E2E_REPORT,
  ({ stats }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky + stats.skipped,
  }),
);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
