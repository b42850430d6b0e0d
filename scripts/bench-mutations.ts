// npm run bench:mutations: each rule of SAFETY is broken once, in a copy of the tree, and a test must notice.
// Writes the table of docs/methods/safety.md from what it found. Option: --only WORDS (then nothing is written)
import { spawnSync } from "node:child_process";
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { parseArgs } from "node:util";
import { isSmoke } from "./lib/sized.mjs";

interface Mutation {
  readonly rule: string;
  readonly file: string;
  readonly from: string;
  readonly to: string;
}

const BENCH = "src/core/safety/bench-state.ts";
const LIVE = "src/core/safety/live-work.ts";
const STATE = "src/core/safety/live-state.ts";
const WORD = "src/core/job/sign-off/sign-off.ts";

const MUTATIONS: readonly Mutation[] = [
  {
    rule: "a live answer or run made now is itself a statement about power",
    file: "src/log/live-events.ts",
    from: '? [{ event: "powered" }]',
    to: "? []",
  },
  {
    rule: "power clears what was read on what stores charge",
    file: BENCH,
    from: "const stored = state.stored.filter(({ none }) => none !== undefined);",
    to: "const { stored } = state;",
  },
  {
    rule: "an electrolytic is read twice, a minute apart",
    file: BENCH,
    from: 'return isOnce ? "once" : "drained";',
    to: 'return isOnce ? "drained" : "drained";',
  },
  {
    rule: "power clears what was held",
    file: BENCH,
    from: 'held: state.held.filter(({ is }) => is !== "held")',
    to: "held: state.held",
  },
  {
    rule: "wired in: proven dead before hands go in",
    file: BENCH,
    from: "if (Math.abs(event.volts) > safe)",
    to: "if (Math.abs(event.volts) > safe + 1000)",
  },
  {
    rule: "blades are blocked before the shaft is turned",
    file: "src/core/safety/bench-gaps.ts",
    from: "return parts.isBlocked;",
    to: "return parts.isBlocked && false;",
  },
  {
    rule: "a board stores charge in every family",
    file: "src/core/job/log/bench-machine.ts",
    from: 'stations.includes("board") && !stores.includes("bus") ? ["bus"] : []',
    to: 'stations.includes("board") && !stores.includes("bus") ? [] : []',
  },
  {
    rule: "power only behind the shop's residual-current outlet",
    file: LIVE,
    from: "...(outlet ? [outlet] : []),",
    to: "",
  },
  {
    rule: "no power while a failed protection stands",
    file: LIVE,
    from: '...gap(live.failing.length > 0, "failing"),',
    to: "",
  },
  {
    rule: "no power with a cover open",
    file: LIVE,
    from: '...gap(bench.opened.length > 0, "cover-open"),',
    to: "",
  },
  {
    rule: "power with a cover off is a note for a licensed person",
    file: LIVE,
    from: '...gap(power === "licensed", "licensed"),',
    to: "",
  },
  {
    rule: "after two trips no power until a finding explains them",
    file: LIVE,
    from: "const TRIPS_AT_MOST = 1;",
    to: "const TRIPS_AT_MOST = 9;",
  },
  {
    rule: "what power did closes only by mending what was found to do it",
    file: STATE,
    from: 'return "by" in reason ? mends.includes(reason.by) : spoils.includes(reason.failed);',
    to: "return true;",
  },
  {
    rule: "a finding explains only what it can do",
    file: STATE,
    from: "can.includes(one.what) ? {",
    to: "can.length > 0 ? {",
  },
  {
    rule: "what was worked on is checked again before power",
    file: LIVE,
    from: "const spoilt = spoiltAt(live, check.proves);",
    to: "const spoilt = 0;",
  },
  {
    rule: "a told smell or smoke asks for a look inside",
    file: STATE,
    from: 'const owesLookInside = state.owesLookInside || event.before.includes("look-inside");',
    to: "const owesLookInside = state.owesLookInside && false;",
  },
  {
    rule: "a line of power that is struck out leaves a doubt",
    file: "src/log/energies.ts",
    from: "tellsOfPower(undone) ? DOUBT : []",
    to: "tellsOfPower(undone) ? [] : []",
  },
  {
    rule: "class, connection or heater said anew asks the tests again",
    file: "src/log/kinds/taken-in/energy.ts",
    from: "return isOther ?",
    to: "return isOther && false ?",
  },
  {
    rule: "a run made without its grant never counts for repaired",
    file: WORD,
    from: "seq > view.lastChangeSeq && !view.live.withoutGrant.includes(seq)",
    to: "seq > view.lastChangeSeq",
  },
  {
    rule: "a failed run and a clean one with nothing done between is not explained",
    file: WORD,
    from: 'since.some(({ result }) => result !== "gone") ? ["run-not-explained"] : []',
    to: 'since.some(({ result }) => result !== "gone") ? [] : []',
  },
  {
    rule: "a run is as long as what it claims",
    file: WORD,
    from: "return minutes * 60 >= limitOf(limits, LEAST[circumstance]).value;",
    to: "return minutes * 60 >= limitOf(limits, LEAST[circumstance]).value * 0;",
  },
  {
    rule: "a guard that was left out is do not use",
    file: WORD,
    from: '...when(view.protectionLeftOut.length > 0, "protection-left-out"),',
    to: "",
  },
  {
    rule: "a consequence alone is no cure",
    file: WORD,
    from: "view.interventions.every(({ isConsequence }) => isConsequence),",
    to: "view.interventions.every(({ isConsequence }) => isConsequence && false),",
  },
];

const COPY = resolve(".cache/mutants");
const TESTS = ["tests/core/job/walk.laws.test.ts", "tests/core/safety", "tests/core/job"];

function copyTree(): void {
  rmSync(COPY, { recursive: true, force: true });
  mkdirSync(COPY, { recursive: true });
  for (const path of ["src", "tests", "scripts", "package.json", "tsconfig.json", "vitest.config.ts"])
    cpSync(path, `${COPY}/${path}`, { recursive: true });
  symlinkSync(resolve("node_modules"), `${COPY}/node_modules`);
}

/** The first of the tests that notices, the random walk first. */
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
