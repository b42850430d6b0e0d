// npm run bench:mutations: each rule of SAFETY is broken once, in a copy of the tree, and a test must notice.
// Writes the table of docs/methods/safety.md from what it found. Option: --only WORDS (then nothing is written)
import { spawnSync } from "node:child_process";
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { parseArgs } from "node:util";
import type { Mutation } from "./lib/mutation";
import { MUTATIONS } from "./lib/mutations";
import { isSmoke } from "./lib/sized.mjs";

const COPY = resolve(".cache/mutants");
/** The quick ones first. */
const TESTS = ["tests/core/safety", "tests/core/job/walk.laws.test.ts", "tests/core/job"];

function copyTree(): void {
  rmSync(COPY, { recursive: true, force: true });
  mkdirSync(COPY, { recursive: true });
  for (const path of [
    "src",
    "tests",
    "scripts",
    "docs/methods",
    "package.json",
    "tsconfig.json",
    "vitest.config.ts",
  ])
    cpSync(path, `${COPY}/${path}`, { recursive: true });
  symlinkSync(resolve("node_modules"), `${COPY}/node_modules`);
}

/** The first of the tests that notices. */
function caughtBy(): string | undefined {
  return TESTS.find(
    (path) =>
      spawnSync("npx", ["--no-install", "vitest", "run", path, "--project", "node"], { cwd: COPY }).status !==
      0,
  );
}

interface Row extends Mutation {
  readonly by: string | undefined;
}

const PAGE = "docs/methods/safety.md";
/** All before the table is written by hand. */
const HEAD = "| rule | held in | first test that fails without it |";

/** @throws where the text that is to be broken does not stand there exactly once */
function onlyPlace(whole: string, file: string, from: string): string {
  if (whole.split(from).length !== 2)
    throw new Error(`${file} has no single "${from}": the mutation is out of date`);
  return whole;
}

function page(rows: readonly Row[]): string {
  const lines = rows.map(
    ({ rule, file, by }) => `| ${rule} | \`${file}\` | ${by ? `\`${by}\`` : "**nothing**"} |`,
  );
  const written = readFileSync(PAGE, "utf8").split(HEAD)[0] ?? "";
  return [`${written}${HEAD}`, "| --- | --- | --- |", ...lines, ""].join("\n");
}

const { values } = parseArgs({ options: { only: { type: "string" } } });
if (isSmoke) {
  // That each rule still stands where it is broken.
  for (const { file, from } of MUTATIONS) onlyPlace(readFileSync(file, "utf8"), file, from);
  process.exit(0);
}
copyTree();
if (caughtBy() !== undefined) throw new Error("the tests fail before anything is broken");
const rows: Row[] = [];
for (const { rule, file, from, to } of MUTATIONS.filter(({ rule }) => rule.includes(values.only ?? ""))) {
  const whole = onlyPlace(readFileSync(`${COPY}/${file}`, "utf8"), file, from);
  writeFileSync(`${COPY}/${file}`, whole.replace(from, to));
  const by = caughtBy();
  writeFileSync(`${COPY}/${file}`, whole);
  rows.push({ rule, file, from, to, by });
  console.log(`${by === undefined ? "MISSED" : "caught"}  ${rule}${by === undefined ? "" : ` (${by})`}`);
}
rmSync(COPY, { recursive: true });
const missed = rows.filter(({ by }) => by === undefined).length;
if (values.only === undefined) writeFileSync(PAGE, page(rows));
console.log(`${rows.length} rules broken, ${missed} not noticed`);
process.exit(missed === 0 ? 0 : 1);
