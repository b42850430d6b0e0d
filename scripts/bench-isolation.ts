// How good the advice is, on machines drawn from the knowledge's own chances. Writes docs/methods/isolation.md.
// npm run bench:isolation -- [machines a family] [families]
import { writeFileSync } from "node:fs";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { shopKnowledge } from "@/server/services/knowledge";
import { type Bench, begin, benchFor, hide, make, named, RATE, repair } from "./isolation/machine";
import {
  cheapest,
  checklist,
  information,
  informationOurStop,
  ours,
  type Policy,
} from "./isolation/policies";

const [count = 100, ...only] = process.argv.slice(2);
const MACHINES = Number(count);
const TUNING = Math.max(10, Math.round(MACHINES / 4));
const THRESHOLDS = [0.6, 0.7, 0.8, 0.9, 0.95];
const MOST_MOVES = 25;

interface Run {
  readonly cost: number;
  readonly moves: number;
  readonly minutes: number;
  readonly live: number;
  readonly exact: boolean;
  readonly cure: boolean;
  readonly chance: number;
}

function run(bench: Bench, seed: number, policy: Policy): Run {
  const hidden = hide(bench, seed);
  const { search: first, answers } = begin(bench, hidden);
  let search = first;
  let moves = 0;
  for (; moves < MOST_MOVES; moves += 1) {
    const next = policy(bench, search);
    if (next === undefined) break;
    search = make(bench, hidden, search, answers, next);
  }
  return {
    cost: search.spent + repair(bench, hidden, search),
    moves,
    minutes: search.minutes,
    live: search.liveMinutes,
    ...named(bench, hidden, search),
  };
}

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
const seeds = (from: number, many: number): number[] =>
  Array.from({ length: many }, (_, index) => from + index * 7919);

function tuned(bench: Bench, make_: (threshold: number) => Policy): { policy: Policy; threshold: number } {
  const tried = THRESHOLDS.map((threshold) => ({
    threshold,
    policy: make_(threshold),
    cost: mean(seeds(500_000, TUNING).map((seed) => run(bench, seed, make_(threshold)).cost)),
  }));
  const best = tried.sort((one, other) => one.cost - other.cost)[0];
  if (!best) throw new Error("no threshold");
  return best;
}

interface Row {
  readonly name: string;
  readonly runs: readonly Run[];
  readonly threshold?: number;
}

function line(family: string, { name, runs, threshold }: Row, base: number): string {
  const share = (pick: (one: Run) => boolean): string =>
    `${Math.round(100 * mean(runs.map((one) => (pick(one) ? 1 : 0))))} %`;
  const cost = mean(runs.map((one) => one.cost));
  return `| ${family} | ${name}${threshold ? ` (stops at ${threshold})` : ""} | ${share((one) => one.exact)} | ${share((one) => one.cure)} | ${(cost / 100).toFixed(2)} | ${(cost / base).toFixed(2)} | ${mean(runs.map((one) => one.moves)).toFixed(1)} | ${mean(runs.map((one) => one.minutes)).toFixed(0)} | ${mean(runs.map((one) => one.live)).toFixed(1)} |`;
}

/** Stated chances against how often they came true, in tenths. */
function reliability(runs: readonly Run[]): { readonly lines: string[]; readonly error: number } {
  const bins = Array.from({ length: 10 }, (_, bin) =>
    runs.filter(({ chance }) => Math.min(9, Math.floor(chance * 10)) === bin),
  );
  const lines = bins.flatMap((inBin, bin) =>
    inBin.length === 0
      ? []
      : [
          `| ${bin * 10} to ${bin * 10 + 10} % | ${inBin.length} | ${Math.round(100 * mean(inBin.map(({ chance }) => chance)))} % | ${Math.round(100 * mean(inBin.map(({ exact }) => (exact ? 1 : 0))))} % |`,
        ],
  );
  const error = bins.reduce((sum, inBin) => {
    if (inBin.length === 0) return sum;
    const gap = Math.abs(
      mean(inBin.map(({ chance }) => chance)) - mean(inBin.map(({ exact }) => (exact ? 1 : 0))),
    );
    return sum + (gap * inBin.length) / runs.length;
  }, 0);
  return { lines, error };
}

const knowledge = shopKnowledge();
const limits = resolveLimits(knowledge, {});
if (!limits.ok) throw new Error("the limits do not resolve");
const families = knowledge.families
  .map(({ id }) => id)
  .filter((id) => id !== "not-known" && (only.length === 0 || only.includes(id)));
const table: string[] = [];
const sizes: string[] = [];
const all: Run[] = [];
const ratios: { a: number; c: number }[] = [];
for (const family of families) {
  const bench = benchFor(family, knowledge, limits.value);
  const test = seeds(1, MACHINES);
  const of = (policy: Policy): Run[] => test.map((seed) => run(bench, seed, policy));
  const own = of(ours());
  const [a, b, c] = [tuned(bench, checklist), tuned(bench, cheapest), tuned(bench, information)];
  const rows: Row[] = [
    { name: "ours", runs: own },
    { name: "ours, strictly by total", runs: of(ours(0)) },
    { name: "(a) fixed checklist", runs: of(a.policy), threshold: a.threshold },
    { name: "(b) cheapest first", runs: of(b.policy), threshold: b.threshold },
    { name: "(c) most information a minute", runs: of(c.policy), threshold: c.threshold },
    { name: "(c) with our stop rule", runs: of(informationOurStop) },
  ];
  const costOf = (index: number): number => mean((rows[index]?.runs ?? []).map((one) => one.cost));
  ratios.push({ a: costOf(0) / costOf(2), c: costOf(0) / costOf(5) });
  all.push(...own);
  table.push(...rows.map((row) => line(family, row, costOf(0))));
  sizes.push(
    `| ${family} | ${bench.model.hypotheses.faults.length} | ${bench.model.moves.length} | ${bench.model.hypotheses.all.length} | ${bench.model.table.size()} |`,
  );
  console.log(rows.map((row) => line(family, row, costOf(0))).join("\n"));
}
const { lines, error } = reliability(all);
const rootFirst = mean(all.map(({ exact }) => (exact ? 1 : 0)));
const cureFirst = mean(all.map(({ cure }) => (cure ? 1 : 0)));
const [overA, overC] = [mean(ratios.map(({ a }) => a)), mean(ratios.map(({ c }) => c))];
const aim = (isMet: boolean): string => (isMet ? "met" : "**not met**");
writeFileSync(
  "docs/methods/isolation.md",
  `# How good the advice is

Generated by \`npm run bench:isolation -- ${[MACHINES, ...only].join(" ")}\` on ${new Date().toISOString().slice(0, 10)} with knowledge \`${knowledge.version}\`: change the command, not this page.

**Own generator.** ${MACHINES} machines a family, faults drawn from the knowledge's own chances, each move's answer drawn once a machine and the same whoever asks. Every search begins with the owner's report, machine unplugged and closed, time at ${RATE / 100} an hour, another machine at 200. It ends in repairs in the order of chance ÷ cost, another machine in the end. Our way looks one step ahead here; the worker's second step is not in these figures. The baselines stop at the best of ${THRESHOLDS.join(", ")}, chosen on ${TUNING} other machines a family.

What this cannot show: whether the chances themselves are right. They are judged, not counted, and a report on machines made by physics, which shares none of them, does not exist yet.

| aim | measured | |
| --- | --- | --- |
| root named first when the plan stops, at least 90 % | ${Math.round(100 * rootFirst)} % (${Math.round(100 * cureFirst)} % when a fault with the same cure counts) | ${aim(rootFirst >= 0.9)} |
| expected calibration error below 5 % | ${(100 * error).toFixed(1)} % | ${aim(error < 0.05)} |
| cost at most 0.80 of the fixed checklist | ${overA.toFixed(2)} | ${aim(overA <= 0.8)} |
| cost not more than 1 % above (c) with our stop rule | ${overC.toFixed(3)} | ${aim(overC <= 1.01)} |

A search stops when no move is worth its price, not when it is sure: where a part is cheap, fitting it costs less than the measurement that would name the root. That is why the root is named first less often than the cost alone would allow.

| family | way | root first | same cure first | cost | against ours | moves | minutes | live |
| --- | --- | --- | --- | --- | --- | --- | --- | --- |
${table.join("\n")}

## Stated chances against what came true

| stated | searches | mean stated | came true |
| --- | --- | --- | --- |
${lines.join("\n")}

## Size of each family's model

| family | faults | moves | hypotheses | sets of faults |
| --- | --- | --- | --- | --- |
${sizes.join("\n")}
`,
);
