// npm run size: non-blank lines of tests against all code, and the largest files.
import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";

const files = execFileSync("git", ["ls-files", "-co", "--exclude-standard"], { encoding: "utf8" })
  .split("\n")
  .filter((path) => /\.(ts|tsx|astro)$/.test(path));
const lines = (path) =>
  readFileSync(path, "utf8")
    .split("\n")
    .filter((line) => line.trim() !== "").length;
const sized = files.map((path) => ({ path, count: lines(path) }));
const sum = (rows) => rows.reduce((total, { count }) => total + count, 0);
const isTest = ({ path }) => path.startsWith("tests/");
const [all, tests] = [sum(sized), sum(sized.filter(isTest))];
const area = (prefix) =>
  `${prefix.padEnd(14)} ${String(sum(sized.filter(({ path }) => path.startsWith(prefix)))).padStart(6)}`;
console.log(
  ["src/core", "src/server", "src/islands", "src/pages", "src/demo", "scripts", "tests"].map(area).join("\n"),
);
console.log(`tests are ${((100 * tests) / all).toFixed(1)} % of ${all} lines (wanted: 25 to 33)`);
console.log("largest files:");
for (const { path, count } of [...sized].sort((one, other) => other.count - one.count).slice(0, 8))
  console.log(`  ${count}  ${path}`);
