// npm test: lint, rules, types, unit, server and end-to-end tests; ends in "N passed, N failed".
import { spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { ensureChromium } from "./lib/chromium.mjs";
import { ensureBuilt, ensureInstalled, ensureSnapshot } from "./lib/prepare.mjs";

const VITEST_REPORT = ".cache/vitest.json";
const E2E_REPORT = ".cache/e2e.json";

let passed = 0;
let failed = 0;

function run(command, args, env = {}) {
  return (
    spawnSync("npx", ["--no-install", command, ...args], {
      stdio: "inherit",
      env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1", ...env },
    }).status === 0
  );
}

/** A check that is one thing: it holds or it does not. */
function check(title, command, args, env) {
  console.log(`\n— ${title}`);
  const started = Date.now();
  const isGood = run(command, args, env);
  if (isGood) passed += 1;
  else failed += 1;
  console.log(`${isGood ? "holds" : "FAILS"}: ${title} (${Math.round((Date.now() - started) / 1000)} s)`);
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
  passed += counted.passed;
  failed += counted.failed + (!isGood && counted.failed === 0 ? 1 : 0);
}

ensureInstalled();
mkdirSync(".cache", { recursive: true });
ensureChromium();
ensureSnapshot();
check("the knowledge holds (pages, references, chances, proofs)", "tsx", ["scripts/compile-knowledge.ts"]);
check("lint and format (Biome)", "biome", ["ci", "."]);
check("who may import whom (dependency-cruiser)", "depcruise", [
  "src",
  "--config",
  ".dependency-cruiser.cjs",
]);
check("types (astro check)", "astro", ["check"]);
check("migrations (drizzle-kit)", "drizzle-kit", ["check"]);
check("method pages are those of the code", "tsx", ["scripts/write-method-pages.ts", "--check"]);
suite(
  "unit and server tests (Vitest)",
  "vitest",
  ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${VITEST_REPORT}`],
  VITEST_REPORT,
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numPendingTests,
  }),
);
ensureBuilt();
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
